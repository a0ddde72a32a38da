# frozen_string_literal: true

module Core
  module Construction
    module Kinds
      # Short strands with a crimped loop at both ends, twisted together and hung by all their loops from one ring.
      # The target is the length that hangs, ring included.
      class TwistedStrands < Base
        key :twisted_strands
        rank 60

        parameter :line, :line
        parameter :strands, :integer, default: 2, range: 2..4
        parameter :pattern, :pattern
        include Ends::CrimpedEnds

        parameter :ring, :part, of: %i[ring]
        parameter :turns, :integer, default: 3, range: 1..12
        # What is counted as one: two strands cross twice in a full turn, once in a half.
        parameter :turn, :choice, of: %i[full half], default: :full
        # Towards the maker the loops stay on the ring (common practice, no source).
        parameter :direction, :choice, of: %i[towards_you away], default: :towards_you

        def problems
          [(problem('pattern', :pattern_of_nothing) if pattern.empty?),
           (problem('pattern', :nothing_fills) unless pattern.empty? || pattern.fills?), *end_problems].compact
        end

        # In lengths of one strand, laid straight.
        def fill
          @fill ||= Making::Fill.new(base: pattern.fixed_length + (plain_end.length * 2), step: pattern.unit_length,
            height: Measure::Length::ZERO,
            most: Pattern::LARGEST / [pattern.unit.size * strands, 1].max)
        end

        def solve(target)
          super(straight(target - ring.linked))
        end

        def path_length(solution)
          hanging(solution.length) + ring.linked
        end

        def on_line(solution)
          [Making::ThreadedElement.of(ring), Making::ThreadedElement.bare(hanging(solution.length), widest)]
        end

        def beyond(place)
          place == :first ? ring.beyond : Measure::Length::ZERO
        end

        private

        # Strands that touch all round: their middles lie on a circle this many strand thicknesses wide (plane geometry).
        AROUND = { 2 => 1.0, 3 => 2 / Math.sqrt(3), 4 => Math.sqrt(2) }.freeze

        # A strand twisted t times follows a helix of that circle: s² = a² + (π·d·t)² (helix length). It hangs doubled, so a is twice what
        # hangs.
        # @return [Measure::Length] straight length of a strand that hangs this long
        def straight(hanging)
          Measure::Length.mm(Math.hypot([hanging.to_mm, 0.0].max * 2, winding_mm))
        end

        # @return [Measure::Length] what a strand of this straight length hangs, the inverse of #straight
        def hanging(strand)
          Measure::Length.mm(Math.sqrt([(strand.to_mm**2) - (winding_mm**2), 0.0].max) / 2)
        end

        def winding_mm
          Math::PI * widest.to_mm * AROUND.fetch(strands) * full_turns
        end

        # @return [Rational] round the axis
        def full_turns
          Rational(turns, turn == :half ? 2 : 1)
        end

        def widest
          @widest ||= pattern.expand(1).map(&:outer).max
        end

        def work_up(solution, maker)
          beads = pattern.expand(solution.repeats).map { |part| [part, :bead] }
          row = beads.map(&:first)
          made = [line_end(line, row: row), line_end(line, row: row.reverse)]
          Making::WorkUp.new(parts: tally(beads, strands) + [*plain_end.parts(2 * strands), count(ring, 1, :ring)],
            cuts: [cut(made, solution, maker)], steps: steps(row, made, solution), joins: joins(row, made), lengths: lengths(solution),
            drawing: Lazy.new { layout(beads, hanging(solution.length).to_mm) },
            ends: { first: Making::Attachment.new(item: ring, opened_with: :hung) })
        end

        def cut(made, solution, maker)
          Making::Cut.new(line: line, count: strands, role: :strand, body: solution.length - (plain_end.loop_length * 2),
            consumption: Measure::Length::ZERO, tails: end_tails(maker, *made))
        end

        def lengths(solution)
          Making::Lengths.new(beaded: hanging(solution.length) + ring.linked, repeats: solution.repeats, unit: (fill.step / 2),
            working: [term(:ring, ring.linked),
              term(:twisted, hanging(solution.length), straight: solution.length, count: solution.repeats, each: fill.step)])
        end

        def steps(beads, made, solution)
          done = end_steps(made.last, 2 * strands)
          [step('cut', 'cutting_line', strands, gives: %i[cut], cautions: %i[cutting]),
           closing(step('first_loops', way.technique, strands, needs: %i[cut]), made.first, through: 0, bare: true),
           over_tail(step('string', 'stringing', beads.size * strands, needs: %i[first_end], gives: %i[line bead loose],
             values: { beads: beads.size }, order: beads), made.first),
           closing(step('second_loops', way.technique, strands, effort: Strung::SECOND_END_EFFORT, needs: %i[bead]), made.last),
           step('compare', 'measuring', 1, needs: %i[last_end], gives: %i[length], checkpoint: true, values: { length: solution.length }),
           *done,
           step('open', 'ring', 1, needs: [:length, *done.last&.gives], gives: %i[ring_open]),
           step('twist', 'twisting', 1, needs: %i[ring_open], gives: %i[twisted], values: { turned: turns, turned_by: turn }),
           step('hang', 'ring', 1, needs: %i[twisted], gives: %i[ring hung], values: { loops: 2 * strands, hung: [] })]
        end

        def joins(beads, made)
          shared = made.flat_map(&:shared)
          beads.uniq.flat_map { |part| through(line, [part], passes: shared.include?(part) ? 2 : 1) } + made.first.joins +
            [Making::Join.new(kind: :hangs_in, inner: line, outer: ring, at: 0.0, passes: 2 * strands)]
        end

        # Out along one side and back along the other, each strand a phase further round the twist.
        def layout(beads, hanging_mm)
          start = ring.linked.to_mm
          width = beads.map { |part, _| part.outer.to_mm }.max
          [part_shape(ring, :ring, start / 2)] + (0...strands).flat_map do |strand|
            row = [[plain_end.terminal, :crimp], *beads, [plain_end.terminal, :crimp]]
            row.each_with_index.map { |(part, role), i| twisted_shape(part, role, (i + 0.5) / row.size, strand, start, hanging_mm, width) }
          end
        end

        def twisted_shape(part, role, share, strand, start, hanging_mm, width)
          side = share < 0.5 ? -1 : 1
          phase = (2 * Math::PI * full_turns * share) + (Math::PI * 2 * strand / strands)
          x = start + (hanging_mm * (1 - ((2 * share) - 1).abs))
          part_shape(part, role, x.clamp(start, start + hanging_mm), (side * width * 1.2) + (Math.sin(phase) * width * 0.6))
        end
      end
    end
  end
end
