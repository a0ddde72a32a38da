# frozen_string_literal: true

module Core
  module Construction
    module Kinds
      # Two wires twisted together, with beads on stems that stand off to the left and the right in turn.
      class TwistedVine < Base
        key :twisted_vine
        rank 200

        # Length of wire that one full twist of two wires takes up, in wire thicknesses (from memory).
        LAY = 7

        parameter :wire, :line, of: %i[wire]
        parameter :left, :pattern
        parameter :right, :pattern
        # Common practice, no source: 6 to 13.
        parameter :gap, :length, default: '9 mm', range: Measure::Length.mm(4)..Measure::Length.mm(30)
        # Twisted stem between the vine and each bead.
        parameter :stem, :length, default: '6 mm', range: Measure::Length.mm(1)..Measure::Length.mm(30)

        def problems
          [*{ 'left' => left, 'right' => right }.flat_map { |name, pattern|
            [(problem(name, :pattern_of_nothing) if pattern.empty?), (problem(name, :nothing_may_fill) if pattern.fills?)]
          }].compact
        end

        # A bead on either side for each two gaps.
        def fill
          @fill ||= Making::Fill.new(base: gap, step: gap * 2, height: wire.thickness, fewest: 1, most: 300)
        end

        def on_line(solution)
          [Making::ThreadedElement.bare(solution.length, wire.thickness * 2)]
        end

        private

        # @return [Array<(Catalogue::Part, Integer)>] beads in order along the vine, with the side: -1 left, 1 right
        def beads(repeats)
          sides = [[left.expand, -1], [right.expand, 1]]
          (0...(repeats * 2)).map do |i|
            parts, side = sides[i % 2]
            [parts[(i / 2) % parts.size], side]
          end
        end

        # A twisted pair: each wire is a helix about the other, s·√(1 + (π·d/p)²) for a lay p (helix length).
        def twisted
          Math.sqrt(1 + ((Math::PI / LAY)**2))
        end

        def work_up(solution, maker)
          row = beads(solution.repeats)
          parts = row.map { |part, side| [part, side.negative? ? :left : :right] }
          Making::WorkUp.new(parts: tally(parts), cuts: [cut(solution, row, maker)],
            steps: steps(row.size, solution), joins: through(wire, row.map(&:first)), drawing: Lazy.new { layout(row, solution) },
            lengths: lengths(solution), ends: { first: Making::Attachment.new(item: wire, shut_with: :first_loop),
            last: Making::Attachment.new(item: wire, shut_with: :last_loop) })
        end

        # Each wire runs the whole vine, and out and back round half of the beads.
        def cut(solution, row, maker)
          round = Math::PI * wire.thickness.to_mm
          stems = Measure::Length.mm(row.sum { |part, _| (2 * stem.to_mm * twisted) + part.along.to_mm + round }) / 2
          Making::Cut.new(line: wire, count: 2, role: :vine, body: (solution.length * twisted) + stems, consumption: Measure::Length::ZERO,
            tails: Ends::Tails.at(Ends::Tails::WIRED_MM, maker, wire) * 2,
            worked: Making::Worked.new(step: 'twist', unit: :bead, number: row.size))
        end

        def lengths(solution)
          Making::Lengths.new(beaded: solution.length, repeats: solution.repeats, unit: fill.step,
            working: [term(:gaps_along, solution.length, count: (solution.repeats * 2) + 1, each: gap)])
        end

        def steps(number, solution)
          [step('cut', 'cutting_wire', 2, gives: %i[cut], cautions: %i[cutting]),
           step('first_loop', 'simple_loop', 1, wires: 2, needs: %i[cut], gives: %i[first_loop]),
           step('twist', 'twisting_pairs', number, needs: %i[first_loop], gives: %i[line left right], values: { beads: number, gap: gap },
             cautions: %i[work_hardening]),
           step('check_length', 'measuring', 1, needs: %i[line], gives: %i[length], checkpoint: true,
             values: { beads: number, length: solution.length }),
           step('last_loop', 'simple_loop', 1, wires: 2, needs: %i[length], gives: %i[last_loop]),
           step('trim', 'trimming', 2, needs: %i[last_loop], cautions: %i[cutting sharp_tails])]
        end

        def layout(row, solution)
          lean = stem.to_mm * 0.6
          pair = line_shape(wire, solution.length.to_mm).with(across: wire.thickness.to_mm * 2)
          [pair] + row.each_with_index.flat_map do |(part, side), i|
            x = (i + 1) * gap.to_mm
            reach = stem.to_mm + (part.outer.to_mm / 2)
            stalk = Making::Shape.new(item: wire, role: :line, x: x, y: 0.0, along: 0.0, across: wire.thickness.to_mm * 1.6, form: :path,
              path: format('M0 0L%.2f %.2f', lean * 0.5, side * stem.to_mm))
            [stalk, part_shape(part, side.negative? ? :left : :right, [x + (lean * 0.5), solution.length.to_mm].min, side * reach)]
          end
        end
      end
    end
  end
end
