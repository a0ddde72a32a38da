# frozen_string_literal: true

module Core
  module Construction
    module Kinds
      # Beads on one or more parallel lines, crimped at both ends round the neighbours' rings.
      #
      # The pattern reads from the first end; mirrored, it reads from each end to the middle, where the centre stands once.
      class Strung < Base
        key :strung
        rank 10
        takes_hanging

        # A seed bead by needle takes 7 s where a bead of 4 mm or more takes 5 (from memory).
        SMALL_BELOW = Measure::Length.mm(4)
        SMALL_EFFORT = Rational(7, 5)
        # The second end is harder than the first (from memory).
        SECOND_END_EFFORT = Rational(3, 2)

        parameter :line, :line
        parameter :pattern, :pattern
        parameter :mirror, :boolean, default: true
        parameter :centre, :pattern, default: [].freeze
        include Ends::CrimpedEnds
        include Caps

        parameter :finishing, :pattern, default: [].freeze
        parameter :start, :choice, of: %i[stopper first_end middle], default: :stopper
        parameter :filler, :part, of: %i[bead finishing], required: false
        parameter :filler_most, :integer, default: 0, range: 0..4
        parameter :strands, :integer, default: 1, range: 1..7

        def problems
          [
            (problem('pattern', :pattern_of_nothing) if pattern.empty?),
            (problem('pattern', :nothing_fills) unless pattern.empty? || pattern.fills?),
            (problem('centre', :centre_fills) if centre.fills?),
            (problem('centre', :even_centre, count: centre.expand.size) if mirror && !centre.empty? && centre.expand.size.even?),
            (problem('centre', :centre_not_mirrored) if mirror && !centre.palindrome?),
            *end_problems
          ].compact
        end

        def fill
          @fill ||= growth(mirror ? 2 : 1, plain_end.length + finishing.fixed_length)
        end

        def on_line(solution)
          [*plain_end.on_line.reverse, *elements(sequence(solution).map(&:first)), *plain_end.on_line]
        end

        private

        def end_beads
          [finishing.expand.size, 1].max
        end

        # @return [(Making::LineEnd, Making::LineEnd)] the first and the last
        def made_ends(row)
          [line_end(line, row: row), line_end(line, row: row.reverse)]
        end

        def growth(sides, finish)
          Making::Fill.new(base: (pattern.fixed_length * sides) + centre.fixed_length + (finish * 2), step: pattern.unit_length * sides,
            height: pattern.unit.map(&:height_above_skin).max, fewest: 1,
            most: Pattern::LARGEST / (pattern.unit.size * sides), filler: filler_rule,
            centre: centre.fixed_length)
        end

        def filler_rule
          Making::Filler.new(part: filler, step: filler.along * 2, most: filler_most) if filler && filler_most.positive?
        end

        def work_up(solution, maker)
          beads = sequence(solution)
          made = made_ends(beads.map(&:first))
          Making::WorkUp.new(parts: tally(beads, strands) + plain_end.parts(2 * strands), cuts: [cut(made, solution, maker)],
            steps: steps(beads, made, solution), joins: joins(beads, made),
            drawing: Lazy.new { layout(beads, solution) }, ends: attached, anchors: Lazy.new { anchors(beads, solution) },
            lengths: lengths(solution))
        end

        def lengths(solution)
          fillers = filler ? [filler] * (solution.fillers * 2) : []
          loops = plain_end.loop_length * 2
          working = [term(:fixed_beads, fill.base - loops), (term(:loops, loops) if loops.positive?),
                     term(:repeats, fill.step * solution.repeats, count: solution.repeats, each: fill.step),
                     (term(:fillers, threaded(fillers), count: fillers.size) if fillers.any?)].compact
          Making::Lengths.new(beaded: solution.length, repeats: solution.repeats, unit: fill.step, fillers: fillers,
            addable: pattern.expand(1).select(&:bead?).uniq, working: working)
        end

        # @return [Array<(Catalogue::Part, Symbol)>] part and role, from the first end, without the crimped ends
        def sequence(solution)
          edge = roles([filler] * solution.fillers, :filler) + roles(finishing.expand, :finishing)
          side = roles(pattern.expand(solution.repeats), :bead)
          return edge + side + roles(centre.expand, :centre) + edge.reverse unless mirror

          half = edge + side
          half + roles(centre.expand, :centre) + half.reverse
        end

        def roles(parts, role)
          parts.map { |part| [part, role] }
        end

        def cut(made, solution, maker)
          Making::Cut.new(line: line, count: strands, role: :strand, body: bare(solution), consumption: Measure::Length::ZERO,
            tails: end_tails(maker, *made))
        end

        # @return [Measure::Length] without the loops at its ends
        def bare(solution)
          solution.length - (plain_end.loop_length * 2)
        end

        def steps(beads, made, solution)
          beads = beads.map(&:first)
          first_row = start == :first_end ? end_steps(made.first, strands, needs: tail_free(made.first), which: :first) : []
          work = StrungSteps.new(technique: way.technique, start: start, strands: strands, beads: beads,
            length: bare(solution), strung: bare(solution) - (plain_end.parts_length * 2)).to_a
          work = work.map { |step| step.with(values: said.merge(step.values)) }.map { |step| closed(step, made) }
          open_ends = start == :first_end ? strands : 2 * strands
          work + first_row + end_steps(made.last, open_ends)
        end

        # @return [Symbol] what must be so before the first tail is snipped: beads are strung over one that they hide
        def tail_free(made)
          made.sharing.positive? ? :bead : :first_end
        end

        def closed(step, made)
          case step.key
          when 'first_end' then closing(step, made.first, **(start == :first_end ? { through: 0, bare: true } : {}))
          when 'second_end' then closing(step, made.last)
          when 'string' then start == :first_end ? over_tail(step, made.first) : step
          else step
          end
        end

        def joins(beads, made)
          through = passes_by_part(beads, made).map { |part, (at, passes)|
            Making::Join.new(kind: :lines_through, inner: line, outer: part, at: at, passes: passes)
          }
          through.concat(made.first.joins(beside: beads.first.first))
          through + cap_joins(beads.map(&:first), positions(beads), mirror: mirror)
        end

        # @return [Hash{Catalogue::Part=>(Float, Integer)}] where each part first lies, and how often the line passes it at the most:
        #   twice where a tail is buried
        def passes_by_part(beads, made)
          doubled = made.map { |one| one.shared.size }
          edge = plain_end.length.to_mm
          beads.each_with_index.with_object({}) do |((part, _), index), found|
            passes = index < doubled.first || index >= beads.size - doubled.last ? 2 : 1
            first, most = found[part]
            found[part] = [first || (edge + (part.threaded.to_mm / 2)), [most || 0, passes].max] if most.nil? || most < passes
            edge += part.threaded.to_mm
          end
        end

        def positions(beads)
          running(beads.map(&:first), plain_end.length.to_mm)
        end

        def layout(beads, solution)
          at = positions(beads)
          length = solution.length.to_mm
          across(strands, beads.map { |part, _| part.outer.to_mm }.max).flat_map do |y|
            [line_shape(line, bare(solution).to_mm, y, from: plain_end.loop_length.to_mm),
             *end_shapes(plain_end, length, y),
             *beads.each_with_index.map { |(part, role), i|
               threaded_shape(part, role, at[i], y)
             }]
          end
        end

        def attached
          { first: hanging_end(plain_end, :first_end, hanging: strands),
            last: hanging_end(plain_end, :last_end, hanging: strands) }
        end

        def anchors(beads, solution)
          bead_anchors(beads.map(&:first).zip(origins(solution)), line, shut_with: :last_end, start: plain_end.length.to_mm)
        end

        # @return [Array<String, nil>] where in its patterns each part of #sequence comes from
        def origins(solution)
          edge = ([nil] * solution.fillers) + finishing.origins(0, 'finishing')
          side = pattern.origins(solution.repeats, 'pattern')
          middle = centre.origins(0, 'centre')
          mirror ? edge + side + middle + side.reverse + edge.reverse : edge + side + middle + edge.reverse
        end
      end
    end
  end
end
