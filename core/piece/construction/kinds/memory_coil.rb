# frozen_string_literal: true

module Core
  module Construction
    module Kinds
      # Beads on rows of memory wire with the ends turned into loops, and spacer bars that hold the rows together. Of a bar with more holes
      # than rows the outer ones are used. Several turns of one wire are a single row worn in several wraps.
      class MemoryCoil < Base
        key :memory_coil
        rank 40
        cut_to_body

        # One turn is cut 1.25 to 1.33 times the wrist and trimmed at the end (common practice, no source). Further turns add a turn each.
        CUT_FACTORS = { lean: Rational(125, 100), usual: Rational(129, 100), generous: Rational(133, 100) }.freeze
        # Wire of each end that is turned into a loop (common practice, no source). A circle of it is 10 / π across, through the wire's
        # middle.
        LOOP_MM = 10
        LOOP_LENGTH = Measure::Length.mm(LOOP_MM / Math::PI)
        # A bend is made quicker than a loop (from memory).
        BEND_EFFORT = Rational(1, 3)

        parameter :wire, :line, of: %i[memory_wire]
        parameter :rows, :integer, default: 1, range: 1..8
        parameter :pattern, :pattern
        parameter :bar, :part, of: %i[spacer_bar], required: false
        # Bars divide the rows into equal sections, mirrored from side to side.
        parameter :bars, :integer, default: 0, range: 0..9
        # A small bead on both sides of each bar, on every row, so that the next bead does not slip into its hole.
        parameter :lip, :part, of: %i[bead], required: false
        # At each end, for the loops of all rows.
        parameter :end_ring, :part, of: %i[ring split_ring], required: false
        # The ends are bent inward a little before their loops are turned, so that they do not stand out.
        parameter :bent_ends, :boolean, default: false

        def problems
          [(problem('pattern', :pattern_of_nothing) if pattern.empty?),
           (problem('pattern', :nothing_fills) unless pattern.empty? || pattern.fills?),
           (problem('bar', :bar_missing) if bars.positive? && bar.nil?),
           (problem('bar', :wrong_hole_count, lines: rows, holes: bar.lines) if bars.positive? && bar && bar.lines < rows)].compact
        end

        def fill
          @fill ||= Making::Fill.new(base: (pattern.fixed_length * sections) + bar_length + end_length,
            step: pattern.unit_length * symmetric, height: tallest(pattern.unit),
            most: Pattern::LARGEST / [pattern.unit.size * symmetric * rows, 1].max)
        end

        def on_line(solution)
          loop = Making::ThreadedElement.new(along: LOOP_LENGTH, height: wire.thickness / 2, width: LOOP_LENGTH, profile: :pointed)
          ring = [(Making::ThreadedElement.of(end_ring, along: end_ring.linked) if end_ring)].compact
          [*ring, loop, *elements(row(solution.repeats).map(&:first)), loop, *ring]
        end

        def beyond(_place)
          end_ring ? end_ring.beyond : Measure::Length::ZERO
        end

        private

        # A loop at each end, and the ring that hangs in it.
        def end_length
          at_end * 2
        end

        def at_end
          LOOP_LENGTH + (end_ring ? end_ring.linked : Measure::Length::ZERO)
        end

        def sections
          bars + 1
        end

        def bar_length
          bars.zero? ? Measure::Length::ZERO : (bar.along + (lip ? lip.along * 2 : Measure::Length::ZERO)) * bars
        end

        # Units that must be added at once to keep both sides alike: an odd number of sections has a middle one that takes a single unit.
        def symmetric
          sections.even? ? 2 : 1
        end

        # @return [Array<Integer>] units in each section: even, what is left over in the middle ones, the same from both sides
        def units(repeats)
          each, over = (repeats * symmetric).divmod(sections)
          from_middle = (0...sections).sort_by { |i| [(((sections - 1) / 2.0) - i).abs, i] }
          from_middle = from_middle.drop(1) if sections.odd? && over.even?
          extra = from_middle.first(over)
          (0...sections).map { |i| each + (extra.include?(i) ? 1 : 0) }
        end

        # One row: sections between bars, those of the second half turned round.
        def row(repeats)
          units(repeats).each_with_index.map do |number, i|
            section = pattern.expand(number).map { |part| [part, :bead] }
            i < sections / 2.0 ? section : section.reverse
          end.reduce { |all, one| all + at_bar + one }
        end

        def at_bar
          beside = lip ? [[lip, :lip]] : []
          [*beside, [bar, :bar], *beside]
        end

        def work_up(solution, maker)
          beads = row(solution.repeats)
          strung = beads.reject { |_, role| role == :bar }
          Making::WorkUp.new(parts: tally(strung, rows) + (bars.zero? ? [] : [count(bar, bars, :bar)]) +
              (end_ring ? [count(end_ring, 2, :ring)] : []), cuts: [cut(solution, maker)],
            steps: steps(strung.size, beads.map(&:first)),
            joins: through(wire, beads.map(&:first).uniq) + ring_joins, ends: ring_ends,
            drawing: Lazy.new { layout(beads, solution) }, lengths: lengths(solution))
        end

        def ring_joins
          end_ring ? [Making::Join.new(kind: :hangs_in, inner: wire, outer: end_ring, at: 0.0, in_place: true)] : []
        end

        def ring_ends
          end_ring ? { first: Making::Attachment.new(item: end_ring), last: Making::Attachment.new(item: end_ring) } : {}
        end

        def cut(solution, maker)
          loops = Measure::Length.mm(LOOP_MM * 2)
          beaded = solution.length - end_length
          turn = solution.length / maker.wraps
          whole = ((maker.measure || turn) * CUT_FACTORS.fetch(maker.tails_on(wire))) + (turn * (maker.wraps - 1))
          Making::Cut.new(line: wire, count: rows, role: :row, body: beaded, consumption: loops,
            tails: [whole - beaded - loops, Measure::Length::ZERO].max)
        end

        def lengths(solution)
          Making::Lengths.new(beaded: solution.length, repeats: solution.repeats, unit: fill.step,
            working: [term(:wire_loops, LOOP_LENGTH * 2), (term(:end_rings, end_ring.linked * 2) if end_ring),
                      (term(:bars, bar_length, count: bars) if bars.positive?),
                      (term(:fixed_beads, pattern.fixed_length * sections) unless pattern.fixed_length.zero?),
                      term(:repeats, fill.step * solution.repeats, count: solution.repeats, each: fill.step)].compact)
        end

        def steps(beads, order)
          [step('cut', 'memory_cutting', rows, preparable: true, cautions: %i[cutting]),
           step('first_loops', 'memory_loop', rows, after: %w[cut]),
           step('string', 'stringing', beads * rows, after: %w[first_loops], values: { beads: beads }, order: order,
             text: bars.positive? ? :memory_coil_string_bars : :"memory_coil_string#{'_rows' if rows > 1}"),
           step('check_length', 'measuring', 1, after: %w[string], checkpoint: true, values: { beads: beads }),
           step('trim', 'memory_cutting', rows, after: %w[check_length], cautions: %i[cutting]),
           (step('bend', 'memory_loop', rows * 2, effort: BEND_EFFORT, after: %w[trim]) if bent_ends),
           step('last_loops', 'memory_loop', rows, effort: Strung::SECOND_END_EFFORT, after: [bent_ends ? 'bend' : 'trim'],
             cautions: %i[sharp_tails]),
           (step('ring', 'ring', 2, after: %w[last_loops], values: { rows: rows }, adds: %i[ring]) if end_ring)].compact
        end

        def layout(beads, solution)
          at = running(beads.map(&:first), at_end.to_mm)
          pitch = beads.map { |part, role| role == :bar ? 0.0 : part.outer.to_mm }.max
          across(rows, pitch).flat_map { |y| [line_shape(wire, solution.length.to_mm, y), *row_shapes(beads, at, y)] } +
            beads.each_with_index.select { |(_, role), _|
              role == :bar
            }.map { |(part, role), i| part_shape(part, role, at[i]).with(across: pitch * rows) } + ring_shapes(solution)
        end

        # They hang in the loops.
        def ring_shapes(solution)
          return [] if end_ring.nil?

          half = end_ring.linked.to_mm / 2
          [half, solution.length.to_mm - half].map { |x| part_shape(end_ring, :ring, x) }
        end

        def row_shapes(beads, at, y_mm)
          beads.each_with_index.reject { |(_, role), _| role == :bar }.map { |(part, role), i| part_shape(part, role, at[i], y_mm) }
        end
      end
    end
  end
end
