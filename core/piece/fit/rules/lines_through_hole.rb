# frozen_string_literal: true

module Core
  module Fit
    module Rules
      # A line through a bead's hole, as often as it passes: k(n) thicknesses and a clearance (circle packing).
      class LinesThroughHole < Rule
        key :lines_through_hole
        rank 10
        judges :lines_through, :knot_in_bead

        # A knot is about this many line thicknesses wide (from memory).
        KNOT_WIDTH = 2

        def call(join)
          hole = join.outer.tightest_hole or return ask(join, join.outer, :hole)

          needed = needed(join)
          judged = Passage.judge(:hole, needed, hole)
          status = judged.status
          found(join, status, code(join, status), margin: judged.margin, defaults: [:clearance], cures: status == :fits ? [] : cures(join),
            values: { line: join.inner.name, bead: join.outer.name, passes: join.passes, needed: needed, hole: hole })
        end

        private

        def needed(join)
          join.kind == :knot_in_bead ? join.inner.thickness * KNOT_WIDTH * Measure::Bundle.ratio([join.passes / 2,
                                                                                                  1].max) : bundle(join.inner, join.passes)
        end

        def code(join, status)
          join.kind == :knot_in_bead ? :"knot_#{status}" : :"hole_#{status}"
        end

        def cures(join)
          lines = thinner(join.inner).select { |line|
            bundle(line, join.passes) + CLEARANCE <= join.outer.tightest_hole
          }.first(1).map { |line| swap_line(join.inner, line) }
          parts = others(join.outer) { |other|
            other.hole && other.tightest_hole >= needed(join) + CLEARANCE
          }.map { |other| swap_part(join.outer, other) }
          ranked([*trimmed(join), *finished(join), *lines, *parts])
        end

        # Beads too small for a second pass keep their places; wider ones beside the crimp take the tail (common practice, no source).
        def finished(join)
          return [] unless join.kind == :lines_through && join.passes == 2 && bundle(join.inner, 1) + CLEARANCE <= join.outer.tightest_hole

          wide = @table.parts.values.select do |part|
            part.kind == :finishing || (part.bead? && part.lines == 1 && part.outer <= Cures::FinishingBeads::LARGEST)
          end
            .select { |part| part.hole && part.tightest_hole >= needed(join) + CLEARANCE }
          wide.min_by(1) { |part| [part.kind == :finishing ? 0 : 1, part.outer, part.key] }
            .map { |part| Cures::FinishingBeads.new(join.component, part) }
        end

        # A second pass that only buries a tail can be left out.
        def trimmed(join)
          return [] unless join.kind == :lines_through && join.passes == 2 && bundle(join.inner, 1) + CLEARANCE <= join.outer.tightest_hole

          [Cures::TrimTails.new(join.component)]
        end
      end
    end
  end
end
