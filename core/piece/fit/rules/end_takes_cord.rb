# frozen_string_literal: true

module Core
  module Fit
    module Rules
      # A glued end takes the bundle and leaves no room for it to slip out.
      class EndTakesCord < Rule
        key :end_takes_cord
        rank 50
        judges :cord_in_end, :bound_in_end

        CODES = { too_small: :end_too_small, loose: :end_loose, fits: :end_fits }.freeze

        def call(join)
          bore = join.outer.hole or return ask(join, join.outer, :hole)

          needed = bundle(join.inner, join.passes)
          purpose = join.kind == :bound_in_end ? :bound_end : :cord_end
          judged = Passage.judge(purpose, needed, bore, widest: join.swollen)
          found(join, judged.status, CODES.fetch(judged.outcome), margin: judged.margin, defaults: [:roomy],
            values: { end: join.outer.name, line: join.inner.name, passes: join.passes, needed: needed, bore: bore },
            cures: judged.status == :fits ? [] : cures(join, needed, purpose))
        end

        private

        def cures(join, needed, purpose)
          good = others(join.outer) { |other| other.hole && Passage.fits?(purpose, needed, other.hole, widest: join.swollen) }
          ranked(good.map { |other| swap_part(join.outer, other) })
        end
      end
    end
  end
end
