# frozen_string_literal: true

module Core
  module Construction
    module Kinds
      # Beads on rows of memory wire with the ends turned into loops, and spacer bars that hold the rows together. Of a bar with more holes
      # than rows the outer ones are used. Several turns of one wire are a single row worn in several wraps.
      #
      # All ends are bent up before any is cut, and all are cut before any loop is turned: a bend holds the beads while hands work at the
      # others. Rings hang in the loops of all rows at once, with what stands beside them.
      class MemoryCoil < Base
        key :memory_coil
        rank 40
        cut_to_body

        # One turn is cut 1.25 to 1.33 times a turn of its coil, or the wrist where that is not known, and trimmed at the end (common
        # practice, no source). Further turns add a turn each.
        CUT_FACTORS = { lean: Rational(125, 100), usual: Rational(129, 100), generous: Rational(133, 100) }.freeze
        # Wire of each end that is turned into a loop (common practice, no source). A circle of it is 10 / π across, through the wire's
        # middle.
        LOOP_MM = 10
        LOOP_LENGTH = Measure::Length.mm(LOOP_MM / Math::PI)
        # What hands grip beyond the loops at the least (from memory).
        LEAST_GRIP = Measure::Length.mm(10)
        # A bend is made quicker than a loop (from memory).
        BEND_EFFORT = Rational(1, 3)

        parameter :wire, :line, of: %i[memory_wire]
        parameter :rows, :integer, default: 1, range: 1..8
        # May hold bars: they lie across all rows.
        parameter :pattern, :pattern
        parameter :mirror, :boolean, default: false
        parameter :centre, :pattern, default: [].freeze, only_with: { mirror: %i[true] }
        parameter :bar, :part, of: %i[spacer_bar], required: false
        # Bars divide the rows into equal sections, mirrored from side to side.
        parameter :bars, :integer, default: 0, range: 0..9
        # A small bead on both sides of each bar, on every row, so that the next bead does not slip into its hole.
        parameter :lip, :part, of: %i[bead], required: false
        # From the middle the order may grow as one goes, and the work is turned over again and again; from one end it is quicker.
        parameter :start, :choice, of: %i[one_end middle], default: :one_end
        # At each end, for the loops of all rows.
        parameter :end_ring, :part, of: %i[ring split_ring], required: false
        # The ends are bent inward a little before their loops are turned, so that they do not stand out.
        parameter :bent_ends, :boolean, default: false
        parameter :shape, :choice, of: %i[round oval], default: :round

        def problems
          [(problem('pattern', :pattern_of_nothing) if pattern.empty?),
           (problem('pattern', :nothing_fills) unless pattern.empty? || pattern.fills?),
           (problem('centre', :centre_fills) if centre.fills?),
           (problem('centre', :centre_not_mirrored) if mirror && !centre.palindrome?),
           (problem('bars', :bars_in_pattern) if mirror && bars.positive?),
           (problem('bar', :bar_missing) if bars.positive? && bar.nil?), *bars_too_narrow].compact
        end

        def fill
          @fill ||= Making::Fill.new(base: order.fixed_length + end_length, step: pattern.unit_length * order.step_units,
            height: tallest(pattern.unit), most: Pattern::LARGEST / [pattern.unit.size * order.step_units * rows, 1].max)
        end

        def on_line(solution)
          loop = Making::ThreadedElement.new(along: LOOP_LENGTH, height: wire.thickness / 2, width: LOOP_LENGTH, profile: :pointed)
          ring = [(Making::ThreadedElement.of(end_ring, along: end_ring.linked) if end_ring)].compact
          [*ring, loop, *elements(order.parts(solution.repeats).map(&:first)), loop, *ring]
        end

        def beyond(_place)
          end_ring ? end_ring.beyond : Measure::Length::ZERO
        end

        private

        def order
          @order ||= BarredRow.new(pattern, centre: mirror ? centre : Pattern.new([]), mirror: mirror, bar: bar, bars: bars, lip: lip)
        end

        def bars_too_narrow
          order.kinds_of_bar.select { |one| one.lines < rows }.map do |one|
            problem(one == bar ? 'bar' : 'pattern', :wrong_hole_count, lines: rows, holes: one.lines)
          end
        end

        # A loop at each end, and the ring that hangs in it.
        def end_length
          at_end * 2
        end

        def at_end
          LOOP_LENGTH + (end_ring ? end_ring.linked : Measure::Length::ZERO)
        end

        def work_up(solution, maker)
          row = order.parts(solution.repeats)
          strung, across = row.partition { |_, role| role != :bar }
          Making::WorkUp.new(parts: tally(strung, rows) + tally(across) + (end_ring ? [count(end_ring, 2, :ring)] : []),
            cuts: [cut(solution, maker)], steps: steps(row, solution), joins: through(wire, row.map(&:first).uniq) + ring_joins,
            ends: ring_ends, drawing: Lazy.new { layout(row, solution) }, lengths: lengths(solution))
        end

        # The loops of all rows lie side by side in it.
        def ring_joins
          end_ring ? [Making::Join.new(kind: :hangs_in, inner: wire, outer: end_ring, at: 0.0, passes: rows, in_place: true)] : []
        end

        # A ring that opens takes what stands beside it together with the loops.
        def ring_ends
          return {} if end_ring.nil?

          %i[first last].to_h { |which| [which, Making::Attachment.new(item: end_ring, opened_with: :"#{which}_ring")] }
        end

        def cut(solution, maker)
          loops = Measure::Length.mm(LOOP_MM * 2)
          beaded = solution.length - end_length
          turn = solution.length / maker.wraps
          whole = ((wire.turn || maker.measure || turn) * CUT_FACTORS.fetch(maker.tails_on(wire))) + (turn * (maker.wraps - 1))
          Making::Cut.new(line: wire, count: rows, role: :row, body: beaded, consumption: loops,
            tails: [whole - beaded - loops, LEAST_GRIP].max)
        end

        def lengths(solution)
          Making::Lengths.new(beaded: solution.length, repeats: solution.repeats, unit: fill.step,
            working: [term(:wire_loops, LOOP_LENGTH * 2), (term(:end_rings, end_ring.linked * 2) if end_ring),
                      (term(:bars, order.bar_length, count: bars) if bars.positive?),
                      (term(:fixed_beads, fixed_beads) unless fixed_beads.zero?),
                      term(:repeats, fill.step * solution.repeats, count: solution.repeats, each: fill.step)].compact)
        end

        def fixed_beads
          order.fixed_length - order.bar_length
        end

        def steps(row, solution)
          beads = row.count { |_, role| role != :bar }
          across = row.filter_map { |part, role| part if role == :bar }
          said = { beads: beads, half: beads / 2, bar_count: across.size, bars_on: across.uniq, open: open_ends }
          [step('cut', 'memory_cutting', rows, gives: %i[cut round], cautions: %i[cutting]),
           (step('first_loops', 'memory_loop', rows, needs: %i[cut], gives: %i[line first_loops held],
             pictured: wire_loop) if start == :one_end),
           strung(row, solution, said),
           step('check_length', 'measuring', 1, needs: %i[bead], gives: %i[length], checkpoint: true, values: said),
           *ends(said), *rings, *shaped].compact
        end

        def wire_loop
          Making::WireEye.new(thickness: wire.thickness, inside: LOOP_LENGTH - wire.thickness)
        end

        def strung(row, solution, said)
          from = start == :middle ? '_from_middle' : ''
          held = said[:bar_count].positive? ? '_bars' : ('_rows' if rows > 1)
          step('string', 'stringing', said[:beads] * rows, needs: [start == :middle ? :cut : :held], values: said,
            gives: %i[line strung bead lip bar loose],
            order: start == :middle ? order.outward(solution.repeats) : row.map(&:first), text: :"memory_coil_string#{from}#{held}")
        end

        # @return [Integer] ends of wire that are still to be finished when the beads are on
        def open_ends
          start == :middle ? rows * 2 : rows
        end

        def ends(said)
          both = start == :middle
          [(step('first_bends', 'memory_bend', rows, needs: %i[length], gives: %i[bent held]) if both),
           step('bend', 'memory_bend', rows, needs: %i[length held], gives: %i[bent], text: bend_text, values: said),
           step('trim', 'memory_cutting', open_ends, needs: %i[bent], gives: %i[stub], values: said, cautions: %i[cutting]),
           (step('bend_in', 'memory_loop', open_ends, effort: BEND_EFFORT, needs: %i[stub]) if bent_ends),
           step('last_loops', 'memory_loop', open_ends, effort: Strung::SECOND_END_EFFORT, gives: %i[line last_loops], pictured: wire_loop,
             shuts: %i[stub loose], values: said, cautions: %i[sharp_tails])]
        end

        def bend_text
          start == :middle ? :memory_coil_last_bends : :memory_coil_bend
        end

        def rings
          return [] if end_ring.nil?

          %w[first last].map do |which|
            step("#{which}_ring", end_ring.kind.to_s, 1, needs: [which == 'last' ? :first_ring : :last_loops, :round],
              text: :memory_coil_ring,
              values: { place: which }, gives: [:ring, :"#{which}_ring"])
          end
        end

        def shaped
          shape == :oval ? [step('shape', 'memory_bend', 1, needs: %i[last_loops], shuts: %i[round])] : []
        end

        def layout(row, solution)
          at = running(row.map(&:first), at_end.to_mm)
          pitch = row.map { |part, role| role == :bar ? 0.0 : part.outer.to_mm }.max
          across(rows, pitch).flat_map { |y| [*wire_shapes(solution.length.to_mm, y), *row_shapes(row, at, y)] } +
            row.each_with_index.select { |(_, role), _| role == :bar }.map { |(part, role), i|
              part_shape(part, role, at[i]).with(across: pitch * rows)
            } + ring_shapes(solution)
        end

        # A row of wire with the loop at each of its ends.
        def wire_shapes(length, y_mm)
          size = (LOOP_LENGTH + wire.thickness).to_mm
          from = at_end.to_mm
          half = LOOP_LENGTH.to_mm / 2
          first = start == :middle ? :last_loops : :first_loops
          loops = [[from - half, first], [length - from + half, :last_loops]].map do |x, since|
            Making::Shape.new(item: wire, role: :line, x: x, y: y_mm, along: size, across: size, form: :ring, since: since)
          end
          [line_shape(wire, length - (from * 2), y_mm, from: from).with(since: :strung), *loops]
        end

        # They hang in the loops.
        def ring_shapes(solution)
          return [] if end_ring.nil?

          half = end_ring.linked.to_mm / 2
          { first_ring: half, last_ring: solution.length.to_mm - half }.map { |since, x|
            part_shape(end_ring, :ring, x).with(since: since)
          }
        end

        def row_shapes(row, at, y_mm)
          row.each_with_index.reject { |(_, role), _| role == :bar }.map { |(part, role), i| part_shape(part, role, at[i], y_mm) }
        end
      end
    end
  end
end
