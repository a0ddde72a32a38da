# frozen_string_literal: true

module Core
  module Fit
    module Rules
      # A cap is about as wide as its bead. A malleable one can be pressed a little wider by hand.
      class CapCovers < Rule
        key :cap_covers
        rank 40
        judges :cap_on_bead

        # Brass can be pressed about 5 per cent wider; beyond a tenth a cap gapes (from memory).
        PRESSED = 1.05
        GAPING = 1.1
        # Beyond a quarter it covers nothing any more: the bead slips inside it (from memory).
        SWALLOWING = Construction::Caps::SWALLOWING

        def call(join)
          bead = join.inner.outer
          cap = join.outer.outer
          status, code = judged(bead, cap, join.outer.malleable)
          values = { cap: join.outer.name, bead: join.inner.name, cap_width: cap, bead_width: bead }
          found(join, status, code, margin: cap - bead, defaults: %i[pressed gaping], values: values,
            cures: status == :fits ? [] : cures(join.outer, bead))
        end

        private

        def cures(cap, bead)
          good = others(cap) { |other| judged(bead, other.outer, other.malleable).first == :fits }
          ranked(good.map { |other| swap_part(cap, other) })
        end

        def judged(bead, cap, malleable)
          return %i[will_not cap_too_large] if cap > bead * SWALLOWING
          return cap > bead * GAPING ? %i[tight cap_gapes] : %i[fits cap_fits] if cap >= bead
          return %i[press cap_press] if malleable && cap * PRESSED >= bead

          %i[will_not cap_too_small]
        end
      end
    end
  end
end
