# frozen_string_literal: true

module Core
  module Fit
    module Rules
      # A crimp passes every line through it and still grips them when pressed.
      class CrimpGrips < Rule
        key :crimp_grips
        rank 20
        judges :crimp_on_lines

        CODES = { too_small: :crimp_too_small, loose: :crimp_loose, tight: :crimp_tight, fits: :crimp_fits }.freeze

        def call(join)
          bore = join.outer.hole or return ask(join, join.outer, :hole)

          needed = bundle(join.inner, join.passes)
          judged = Passage.judge(:crimp, needed, bore)
          found(join, judged.status, CODES.fetch(judged.outcome), margin: judged.margin, defaults: [:loose],
            cures: judged.status == :fits ? [] : cures(join, needed),
            values: { crimp: join.outer.name, line: join.inner.name, passes: join.passes, needed: needed, bore: bore,
                      loosest: Passage.loosest(:crimp, needed) })
        end

        private

        def good?(part, needed)
          part.hole && Passage.fits?(:crimp, needed, part.hole)
        end

        def cures(join, needed)
          crimps = others(join.outer) { |other| good?(other, needed) }.map { |other| swap_part(join.outer, other) }
          lines = @table.lines.values.select { |line|
            line.kind == join.inner.kind && line != join.inner && good?(join.outer, bundle(line, join.passes))
          }
          ranked(crimps + lines.map { |line| swap_line(join.inner, line, change: 3) })
        end
      end
    end
  end
end
