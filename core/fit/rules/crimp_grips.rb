# frozen_string_literal: true

module Core
  module Fit
    module Rules
      # A crimp passes every line through it and still grips them when pressed.
      class CrimpGrips < Rule
        key :crimp_grips
        judges :crimp_on_lines

        # A bore more than this many times the lines leaves a gap when flattened (from memory).
        LOOSE = 1.6

        def call(join)
          bore = join.outer.hole or return ask(join, join.outer, :hole)

          needed = bundle(join.inner, join.passes)
          status, code = judged(bore, needed)
          margin = code == :crimp_loose ? (needed * LOOSE) - bore : bore - needed
          found(join, status, code, margin: margin, defaults: [:loose], cures: status == :fits ? [] : cures(join, needed),
            values: { crimp: join.outer.name, line: join.inner.name, passes: join.passes, needed: needed, bore: bore, loosest: needed * LOOSE })
        end

        private

        def judged(bore, needed)
          return %i[will_not crimp_too_small] if bore < needed
          return %i[will_not crimp_loose] if bore > needed * LOOSE

          bore < needed + CLEARANCE ? %i[tight crimp_tight] : %i[fits crimp_fits]
        end

        def good?(part, needed)
          part.hole && judged(part.hole, needed).first == :fits
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
