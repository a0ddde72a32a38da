# frozen_string_literal: true

module Core
  module Fit
    module Rules
      # A spacer that holds a floating bead by friction passes the lines, yet stays put. So does a slider on its cords.
      class SpacerHolds < Rule
        key :spacer_holds
        judges :holds_by_friction

        # Beyond this many times the lines it slips (from memory).
        SLIPS = 1.25

        def call(join)
          hole = join.outer.hole or return ask(join, join.outer, :hole)

          needed = bundle(join.inner, join.passes)
          status, code = judged(hole, needed)
          found(join, status, code, margin: code == :spacer_slips ? (needed * SLIPS) - hole : hole - needed, defaults: [:slips],
            values: { spacer: join.outer.name, line: join.inner.name, passes: join.passes, needed: needed, hole: hole, loosest: needed * SLIPS },
            cures: status == :fits ? [] : cures(join, needed))
        end

        private

        def judged(hole, needed)
          return %i[will_not spacer_too_small] if hole < needed
          return %i[will_not spacer_slips] if hole > needed * SLIPS

          hole > needed * ((1 + SLIPS) / 2) ? %i[tight spacer_may_slip] : %i[fits spacer_holds]
        end

        def cures(join, needed)
          spacers = others(join.outer) { |o| o.hole && judged(o.hole, needed).first == :fits }.map { |o| swap_part(join.outer, o) }
          lines = @table.lines.values.select { |l|
            l.kind == join.inner.kind && l != join.inner && judged(join.outer.hole, bundle(l, join.passes)).first == :fits
          }
          ranked(spacers + lines.map { |line| swap_line(join.inner, line) })
        end
      end
    end
  end
end
