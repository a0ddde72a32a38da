# frozen_string_literal: true

module Core
  module Construction
    module Kinds
      # Beads on two or three lines in turn, with a spacer on all lines after each. The lines on which a bead is not pass it outside. All
      # lines end together in one crimp or shell; what whole beads leave over stays bare at both ends.
      class Alternating < Base
        key :alternating
        rank 55

        parameter :line, :line
        parameter :lines, :integer, default: 2, range: 2..3
        # In turn, one after the other.
        parameter :beads, :pattern
        parameter :spacer, :part, of: %i[bead finishing]
        include Ends::CrimpedEnds

        def problems
          [(problem('beads', :pattern_of_nothing) if beads.empty?), (problem('beads', :nothing_may_fill) if beads.fills?),
           *end_problems].compact
        end

        # One bead with its spacer after the other: of beads of several lengths the mean.
        def fill
          @fill ||= Making::Fill.new(base: plain_end.length * 2, step: (threaded(in_turn) / in_turn.size) + spacer.threaded,
            height: tallest(in_turn), fewest: lines, most: Pattern::LARGEST / (2 * lines))
        end

        # As many beads as there is room for; the rest is bare line at both ends.
        def solve(target)
          solution = super
          return solution if solution.is_a?(Making::OutOfReach)

          room = target - fill.base
          number = solution.repeats
          number -= 1 while number > lines && run(number) > room
          solution.stretched_to(target, repeats: number)
        end

        def stretches?
          true
        end

        def on_line(solution)
          bare = Making::ThreadedElement.bare(end_gap(solution), line.thickness)
          [*plain_end.on_line.reverse, bare, *elements(row(solution.repeats).map(&:first)), bare, *plain_end.on_line]
        end

        private

        # All lines end together.
        def in_one_end
          lines
        end

        def in_turn
          @in_turn ||= beads.expand
        end

        # @return [Array<(Catalogue::Part, Symbol)>]
        def row(number)
          (0...number).flat_map { |i| [[in_turn[i % in_turn.size], :bead], [spacer, :spacer]] }
        end

        # @return [Measure::Length] that so many beads take with their spacers
        def run(number)
          threaded(row(number).map(&:first))
        end

        def end_gap(solution)
          (solution.length - fill.base - run(solution.repeats)) / 2
        end

        def work_up(solution, maker)
          row = row(solution.repeats)
          Making::WorkUp.new(parts: tally(row) + plain_end.parts(2), cuts: [cut(solution, maker)], steps: steps(solution.repeats),
            joins: joins, drawing: Lazy.new { layout(row, solution) }, lengths: lengths(solution),
            ends: { first: hanging_end(plain_end, :first_end), last: hanging_end(plain_end, :last_end) })
        end

        # A line goes half round a bead that is on another line, in place of straight along it (plane geometry).
        def cut(solution, maker)
          round = (0...solution.repeats).sum do |i|
            bead = in_turn[i % in_turn.size]
            [(bead.outer.to_mm * Math::PI / 2) - bead.threaded.to_mm, 0.0].max
          end
          Making::Cut.new(line: line, count: lines, role: :strand, body: solution.length - (plain_end.loop_length * 2),
            consumption: Measure::Length.mm(round * (lines - 1) / lines), tails: end_tails(maker, plain_end, plain_end))
        end

        def lengths(solution)
          n = solution.repeats
          Making::Lengths.new(beaded: solution.length, repeats: n, unit: fill.step,
            working: [term(:crimps, plain_end.length * 2), term(:pairs, run(n), count: n), term(:end_gaps, end_gap(solution) * 2)])
        end

        def steps(number)
          [step('cut', 'cutting_line', lines, gives: %i[cut], cautions: %i[cutting]),
           closing(step('first_end', way.technique, 1, needs: %i[cut], text: :ends_gathered), plain_end, bare: true),
           step('string', 'stringing', number * 2, needs: %i[first_end], gives: %i[line bead spacer loose], values: { beads: number },
             order: in_turn, text: :"alternating_string#{'_three' if lines == 3}"),
           step('check_length', 'measuring', 1, needs: %i[bead], gives: %i[length], checkpoint: true, values: { beads: number }),
           closing(step('second_end', way.technique, 1, effort: Strung::SECOND_END_EFFORT, needs: %i[length],
             text: :ends_gathered), plain_end),
           *end_steps(plain_end, 2)]
        end

        def joins
          held = Making::Join.new(kind: :holds_by_friction, inner: line, outer: spacer, at: 0.0, passes: lines)
          [*through(line, in_turn), held, *plain_end.joins]
        end

        def layout(row, solution)
          length = solution.length.to_mm
          at = running(row.map(&:first), plain_end.length.to_mm + end_gap(solution).to_mm)
          (0...lines).map { |lane| way_of(lane, row, at, length) } + end_shapes(plain_end, length, 0.0) +
            row.each_with_index.map { |(part, role), i| part_shape(part, role, at[i], role == :bead ? aside(i / 2, part) : 0.0) }
        end

        # @return [Float] how far a bead lies from the middle, towards its own line
        def aside(number, bead)
          across(lines, bead.outer.to_mm / lines)[number % lines]
        end

        # The lines run side by side through the spacers, and each through its own beads and round the others.
        def way_of(lane, row, at, length)
          start = plain_end.loop_length.to_mm
          beside = across(lines, line.thickness.to_mm)[lane]
          points = [[start, 0.0], *row.each_index.map { |i| [at[i], row[i].last == :bead ? passing(lane, i / 2, row[i].first) : beside] },
                    [length - start, 0.0]]
          path_shape(line, points)
        end

        def passing(lane, number, bead)
          own = aside(number, bead)
          return own if number % lines == lane

          side = lane < number % lines ? -1 : 1
          own + (side * bead.outer.to_mm / 2)
        end
      end
    end
  end
end
