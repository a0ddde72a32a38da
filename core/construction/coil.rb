# frozen_string_literal: true

module Core
  module Construction
    # Wire wound on a mandrel into a tube that is strung like a bead: turn beside turn, or with seed beads on the wire that set the turns
    # apart. Wound again, the tube itself is wound round a second mandrel.
    class Coil < Base
      key :coil

      # Wire to hold at each end while winding, cut off afterwards (from memory).
      HOLD_MM = { lean: 15, usual: 25, generous: 40 }.freeze

      technique 'close_coil', name: 'Winding a close coil', level: 3, seconds: 120, demonstration_minutes: 5, tools: %w[mandrel cutters],
        cautions: %i[cutting sharp_tails], points: ['Hold the wire at a right angle to the mandrel.',
        'Push each turn against the one before.'],
        goes_wrong: [
          'The turns gape | not pushed together while winding | push them together on the mandrel | before it comes off | 2 | 0',
          'It does not come off, or seed beads break | wound too tight | ' \
          'turn it backwards off the mandrel, and wind the next one looser | after the first three turns | 5 | 1 cut'
        ],
        practice: 'Ten turns of scrap wire', practice_takes: ['line 200 mm'], practice_minutes: 5
      technique 'coil_over_coil', name: 'Coil over coil', level: 4, seconds: 240, demonstration_minutes: 5, prerequisites: %w[close_coil],
        easier: 'close_coil', tools: %w[mandrel cutters], cautions: %i[cutting sharp_tails],
        points: ['Wind the coil itself round the mandrel, as if it were wire.'],
        goes_wrong: [
          'The first coil is pulled open | pulled while winding | push it together and wind on with less pull | within the turn | 4 | 0'
        ],
        practice: 'Three turns of a coil of scrap wire', practice_minutes: 5

      measures :turns_in_50, unit: :number, range: 1..500

      parameter :wire, :line, of: %i[wire]
      parameter :mandrel, :length, default: '2 mm', range: Measure::Length.mm(0.5)..Measure::Length.mm(40)
      parameter :turns, :integer, default: 12, range: 1..200
      # On the wire, one for each turn.
      parameter :seed, :part, of: %i[bead], required: false
      # Of a second winding; none where the coil stays straight.
      parameter :second_turns, :integer, default: 0, range: 0..40
      parameter :second_mandrel, :length, default: '2 mm', range: Measure::Length.mm(0.5)..Measure::Length.mm(40)

      def problems
        [(trouble('second_turns', :beads_in_second_winding) if seed && second_turns.positive?)].compact
      end

      def fixed_length
        second_turns.positive? ? (tube * second_turns) + pitch : straight_length
      end

      def on_line(_solution)
        [Element.new(along: fixed_length, height: outer / 2, width: outer, profile: :flat)]
      end

      def measurable
        [turns_measured]
      end

      def as_part(work_up, **identity)
        Catalogue::Part.new(**identity, along: work_up.lengths.beaded, outer: outer, kind: :bead,
          hole: second_turns.positive? ? second_mandrel : mandrel, form: :tube, colour: wire.colour, mark: 'C')
      end

      private

      def pitch
        @pitch ||= Measure::Length.mm(50 / turns_measured.value)
      end

      # Turn beside turn, or bead beside bead (geometry), or as somebody measured their own.
      def turns_measured
        usual = seed ? [seed.outer, wire.thickness].max : wire.thickness
        measure(:turns_in_50, wire, seed ? seed.key : mandrel.to_s, 50 / usual.to_mm)
      end

      # @return [Measure::Length] across the coil as it comes off the first mandrel
      def tube
        mandrel + (wire.thickness * 2) + (seed ? seed.outer - wire.thickness : Measure::Length::ZERO)
      end

      def outer
        second_turns.positive? ? second_mandrel + (tube * 2) : tube
      end

      # Turns of the first winding: as asked for, or as many as the second winding takes of it.
      def first_turns
        second_turns.positive? ? (Wire.helix(second_turns, second_mandrel + tube, tube) / pitch).ceil : turns
      end

      def straight_length
        (pitch * first_turns) + wire.thickness
      end

      # Helix length round the mandrel: n·√((π(M + d))² + p²).
      def wound
        Wire.helix(first_turns, mandrel + wire.thickness, pitch)
      end

      def work_up(_solution, maker)
        beads = seed ? first_turns : 0
        WorkUp.new(parts: beads.zero? ? [] : [count(seed, beads, :seed)], cuts: [cut(maker)], steps: steps(beads),
          joins: seed ? through(wire, [seed]) : [],
          drawing: Lazy.new { layout }, lengths: Lengths.new(beaded: fixed_length,
            working: [term(:coil, fixed_length, count: first_turns)]))
      end

      def cut(maker)
        Cut.new(line: wire, count: 1, role: :coil, body: wound, consumption: Measure::Length::ZERO,
          tails: Measure::Length.mm(HOLD_MM.fetch(maker.tails_on(wire))) * 2, measured_to: Wire::CUT_TO)
      end

      def steps(beads)
        [step('cut', 'cutting_wire', 1, preparable: true, cautions: %i[cutting]),
         (step('load', 'loading', beads, after: %w[cut], adds: %i[seed], values: { beads: beads }) if seed),
         step('wind', 'close_coil', 1, effort: [Rational(first_turns, 20), Rational(1, 2)].max, after: [seed ? 'load' : 'cut'],
           values: { turns: first_turns, mandrel: mandrel }),
         (step('wind_again', 'coil_over_coil', 1, effort: [Rational(second_turns, 6), Rational(1, 2)].max, after: %w[wind],
           values: { turns: second_turns, mandrel: second_mandrel }) if second_turns.positive?),
         step('trim', 'trimming', 2, after: [second_turns.positive? ? 'wind_again' : 'wind'], checkpoint: true,
           cautions: %i[cutting sharp_tails])].compact
      end

      # Seen from the side each turn is a slanting stroke.
      def layout
        number, thick, wide = second_turns.positive? ? [second_turns, tube, outer] : [first_turns, wire.thickness, tube]
        step = fixed_length.to_mm / number
        strokes = (0...number).map { |i| stroke((i + 0.5) * step, thick.to_mm, wide.to_mm, step) }
        return strokes unless seed

        strokes + (0...first_turns).map { |i| part_shape(seed, :seed, (i + 0.5) * step).with(along: seed.outer.to_mm,
          across: seed.along.to_mm) }
      end

      def stroke(at, thick, wide, step)
        lean = step * 0.3
        half = [(wide - thick) / 2, 0.2].max
        Shape.new(item: wire, role: :line, x: at, y: 0.0, along: step, across: thick * 0.8, form: :path,
          path: format('M%<a>.2f %<b>.2fL%<c>.2f %<d>.2f', a: -lean, b: -half, c: lean, d: half))
      end
    end
  end
end
