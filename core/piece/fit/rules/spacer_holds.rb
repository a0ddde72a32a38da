# frozen_string_literal: true

module Core
  module Fit
    module Rules
      # A spacer that holds a floating bead by friction passes the lines, yet stays put. So does a slider on its cords.
      class SpacerHolds < Rule
        key :spacer_holds
        rank 60
        judges :holds_by_friction

        CODES = { too_small: :spacer_too_small, loose: :spacer_slips, may_slip: :spacer_may_slip, fits: :spacer_holds }.freeze

        def call(join)
          hole = join.outer.hole or return ask(join, join.outer, :hole)

          needed = bundle(join.inner, join.passes)
          judged = Passage.judge(:spacer, needed, hole)
          found(join, judged.status, CODES.fetch(judged.outcome), margin: judged.margin, defaults: [:slips],
            values: { spacer: join.outer.name, line: join.inner.name, passes: join.passes, needed: needed, hole: hole,
                      loosest: Passage.loosest(:spacer, needed) },
            cures: judged.status == :fits ? [] : cures(join, needed))
        end

        private

        def cures(join, needed)
          spacers = others(join.outer) { |o| o.hole && Passage.fits?(:spacer, needed, o.hole) }.map { |o| swap_part(join.outer, o) }
          lines = @table.lines.values.select { |l|
            l.kind == join.inner.kind && l != join.inner && Passage.fits?(:spacer, bundle(l, join.passes), join.outer.hole)
          }
          ranked(spacers + lines.map { |line| swap_line(join.inner, line) })
        end
      end
    end
  end
end
