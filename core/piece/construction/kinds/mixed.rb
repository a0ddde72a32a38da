# frozen_string_literal: true

module Core
  module Construction
    module Kinds
      # Small beads mixed on one line in no order, counted by the length they fill. The pattern names the beads of the mix, each by its
      # share; a few more than fill the line are given, so that there is something to choose from.
      class Mixed < Base
        key :mixed
        rank 15

        parameter :line, :line
        # The count of each is its share.
        parameter :mix, :pattern
        parameter :more, :integer, default: 10, range: 0..50
        parameter :strung_by, :choice, of: %i[one_by_one spinner], default: :one_by_one
        include Ends::CrimpedEnds

        # The drawing is one of the orders that can come out: always the same.
        SEED = 20
        HUNDRED = 100

        def problems
          [(problem('mix', :pattern_of_nothing) if mix.empty?), (problem('mix', :nothing_may_fill) if mix.fills?), *end_problems].compact
        end

        def fill
          @fill ||= Making::Fill.new(base: plain_end.length * 2, step: mean, height: tallest(shares), fewest: shares.size,
            most: Pattern::LARGEST)
        end

        # Small beads meet any length.
        def stretches?
          true
        end

        def on_line(solution)
          run = Making::ThreadedElement.new(along: mean, height: fill.height, width: shares.map(&:outer).max, profile: :round)
          rest = Making::ThreadedElement.bare(strung(solution) - (mean * (solution.repeats - 1)), line.thickness)
          [*plain_end.on_line.reverse, *([run] * (solution.repeats - 1)), rest, *plain_end.on_line]
        end

        private

        # @return [Array<Catalogue::Part>] each as often as its share
        def shares
          @shares ||= mix.expand
        end

        def mean
          @mean ||= threaded(shares) / shares.size
        end

        def strung(solution)
          solution.length - (plain_end.length * 2)
        end

        # Largest remainder: each bead by its share, all of them together as many as fill the line.
        # @return [Array<Catalogue::Part>] in the order of the mix
        def counted(number)
          due = shares.tally.transform_values { |share| Rational(number * share, shares.size) }
          given = due.transform_values(&:floor)
          due.keys.max_by(number - given.values.sum) { |part| due[part] - given[part] }.each { |part| given[part] += 1 }
          given.flat_map { |part, count| [part] * count }
        end

        def work_up(solution, maker)
          beads = counted(solution.repeats)
          made = line_end(line, row: scattered(beads))
          Making::WorkUp.new(parts: given(solution.repeats) + plain_end.parts(2), cuts: [cut(made, solution, maker)],
            steps: steps(made, solution), joins: through(line, shares) + made.joins,
            drawing: Lazy.new { layout(beads, solution) }, lengths: lengths(solution),
            ends: { first: hanging_end(plain_end, :first_end), last: hanging_end(plain_end, :last_end) })
        end

        # @return [Array<Making::PartUse>] what is strung, and the few more to choose from
        def given(number)
          strung = counted(number)
          all = counted((number * Rational(HUNDRED + more, HUNDRED)).ceil).tally
          left = strung.tally.to_h { |part, used| [part, all[part] - used] }.select { |_, over| over.positive? }
          tally(strung.map { |part| [part, :bead] }) + left.map { |part, over| count(part, over, :left_over) }
        end

        def scattered(beads)
          beads.shuffle(random: Random.new(SEED))
        end

        def cut(made, solution, maker)
          Making::Cut.new(line: line, count: 1, role: :strand, body: solution.length - (plain_end.loop_length * 2),
            consumption: Measure::Length::ZERO, tails: end_tails(maker, made, made))
        end

        def lengths(solution)
          Making::Lengths.new(beaded: solution.length, repeats: solution.repeats, unit: mean,
            working: [term(:crimps, plain_end.length * 2), term(:mix, strung(solution), count: solution.repeats, each: mean)])
        end

        def steps(made, solution)
          number = solution.repeats
          spun = strung_by == :spinner
          [step('cut', 'cutting_line', 1, gives: %i[cut], cautions: %i[cutting]),
           closing(step('first_end', way.technique, 1, needs: %i[cut], text: :strung_first_end), made, through: 0, bare: true),
           over_tail(step('string', spun ? 'spinning' : 'stringing', number, needs: %i[first_end], gives: %i[line bead loose],
             effort: spun ? 1 : Strung::SMALL_EFFORT, values: { beads: number, strung: strung(solution) },
             text: :"mixed_string#{'_spun' if spun}"), made),
           step('check_length', 'measuring', 1, needs: %i[bead], gives: %i[length], checkpoint: true, values: { strung: strung(solution) }),
           closing(step('second_end', way.technique, 1, effort: Strung::SECOND_END_EFFORT, needs: %i[length],
             values: { circle: :row }, text: :strung_second_end), made),
           *end_steps(made, 2)]
        end

        def layout(beads, solution)
          length = solution.length.to_mm
          row = scattered(beads)
          spread = strung(solution).to_mm / [threaded(row).to_mm, 1].max
          at = running(row).map { |x| plain_end.length.to_mm + (x * spread) }
          [line_shape(line, length - (plain_end.loop_length.to_mm * 2), from: plain_end.loop_length.to_mm),
           *end_shapes(plain_end, length, 0.0), *row.each_with_index.map { |part, i| part_shape(part, :bead, at[i]) }]
        end
      end
    end
  end
end
