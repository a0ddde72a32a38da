# frozen_string_literal: true

module Core
  module Construction
    module Kinds
      # Wire wound on a mandrel into a tube that is strung like a bead: turn beside turn, or a row of beads on the wire that lies round the
      # mandrel in one spiral. Wound again, the tube is pushed on a core wire that is wound round a second mandrel.
      class Coil < Base
        key :coil
        rank 130

        # Wire to hold at each end while winding, cut off afterwards (common practice, no source: 40 to anchor and 20 to start).
        HOLD_MM = { lean: 20, usual: 30, generous: 40 }.freeze

        measures :turns_in_50, unit: :number, range: 1..500

        parameter :wire, :line, of: %i[wire]
        parameter :mandrel, :length, default: '2 mm', range: Measure::Length.mm(0.5)..Measure::Length.mm(40)
        parameter :turns, :integer, default: 12, range: 1..200
        # Strung on the wire before it is wound.
        parameter :seed, :part, of: %i[bead], required: false
        # How many of them; none for as many as the turns take.
        parameter :beads, :integer, required: false, range: 1..2000
        # Of a second winding; none where the coil stays straight.
        parameter :second_turns, :integer, default: 0, range: 0..40
        parameter :second_mandrel, :length, default: '2 mm', range: Measure::Length.mm(0.5)..Measure::Length.mm(40)
        # The wire that carries the coil round the second mandrel.
        parameter :core, :line, of: %i[wire], required: false
        # Turns of bare wire at each end, which hold what was pushed on it.
        parameter :plain_turns, :integer, default: 3, range: 0..10
        # On a mandrel in the hand, or on the rod of a winder with a crank.
        parameter :wound_by, :choice, of: %i[hand winder], default: :hand
        # A straight coil is cut into so many pieces alike, each used like a bead.
        parameter :cut_into, :integer, default: 1, range: 1..60
        # Pushed together in the middle afterwards, shorter and thicker there.
        parameter :swollen, :boolean, default: false
        # Across the middle then; none where it is not known, and the length is told as wound.
        parameter :widest, :length, required: false, only_with: { swollen: %i[true] }, range: Measure::Length.mm(1)..Measure::Length.mm(80)

        def problems
          [(problem('beads', :beads_without_seed) if beads && seed.nil?),
           (problem('cut_into', :beads_are_not_cut) if cut_into > 1 && (seed || second_turns.positive?)),
           (problem('widest', :not_swollen, outer: outer) if swollen && widest && widest <= outer),
           (problem('core', :core_too_thick, core: core.thickness, hole: mandrel) if core_too_thick?)].compact
        end

        def fixed_length
          wound_length * pushed_together
        end

        def on_line(_solution)
          [Making::ThreadedElement.new(along: fixed_length, height: widest_across / 2, width: widest_across, profile: :flat)]
        end

        def measurable
          [turns_measured]
        end

        def as_part(_work_up, **identity)
          Catalogue::Part.new(**identity, along: piece_length, outer: widest_across, kind: :bead,
            hole: second_turns.positive? ? second_mandrel : mandrel, form: swollen && widest ? :oval : :tube, colour: wire.colour,
            mark: 'C')
        end

        private

        def pitch
          @pitch ||= Measure::Length.mm(50 / turns_measured.value)
        end

        # Turn beside turn, or row beside row (geometry), or as someone measured their own.
        def turns_measured
          usual = seed ? [seed.outer, wire.thickness].max : wire.thickness
          measure(:turns_in_50, wire, seed ? seed.key : mandrel.to_s, 50 / usual.to_mm)
        end

        # Beads lie on the mandrel, one behind the other along the wire.
        # @return [Measure::Length] across the coil as it comes off the first mandrel
        def tube
          mandrel + ((seed ? seed.outer : wire.thickness) * 2)
        end

        def core_too_thick?
          core && second_turns.positive? && core.thickness >= mandrel
        end

        # @return [Measure::Length] of wire in one turn: π(M + d), and π(M + b) where beads b high carry it (circle geometry)
        def turn
          Wire.helix(1, mandrel + (seed ? seed.outer : wire.thickness), pitch)
        end

        # @return [Measure::Length] that plain turns at both ends add
        def plain_length(line)
          line ? line.thickness * (plain_turns * 2) : Measure::Length::ZERO
        end

        # @return [Measure::Length] of wire in the plain turns at both ends
        def plain_wire(line, round)
          Wire.helix(plain_turns * 2, round + line.thickness, line.thickness)
        end

        def outer
          second_turns.positive? ? second_mandrel + (tube * 2) : tube
        end

        def wound_length
          second_turns.positive? ? (tube * second_turns) + pitch + plain_length(core) : straight_length
        end

        def widest_across
          swollen && widest ? widest : outer
        end

        # Wire stays as long as it is, so that turns grow fewer as they grow wider: by their mean across, where the coil swells along a
        # parabola, whose mean height is two thirds of its greatest (geometry). Plain turns count as the others.
        # @return [Rational] of its length as wound
        def pushed_together
          round = second_turns.positive? ? second_mandrel + tube : mandrel + ((tube - mandrel) / 2)
          round.to_mm / (round.to_mm + ((widest_across - outer).to_mm * Rational(2, 3)))
        end

        # @return [Float] turns of the first winding: as many as the second takes of it, as its beads reach round, or as asked for
        def first_turns
          @first_turns ||= if second_turns.positive? then (second_wound / pitch).ceil
                           elsif beads then seed.along * beads / turn
                           else turns
                           end
        end

        # @return [Measure::Length] of coil in the second winding
        def second_wound
          Wire.helix(second_turns, second_mandrel + tube, tube)
        end

        # @return [Integer]
        def bead_count
          return 0 unless seed

          beads && second_turns.zero? ? beads : (turn * first_turns / seed.along).floor
        end

        def straight_length
          seed ? (pitch * first_turns) + plain_length(wire) : (pitch * first_turns) + wire.thickness
        end

        # A piece that is cut off keeps the thickness of its last turn.
        def piece_length
          cut_into > 1 ? (pitch * (first_turns / cut_into.to_f)) + wire.thickness : fixed_length
        end

        def wound
          seed ? seed.along * bead_count : turn * first_turns
        end

        def work_up(_solution, maker)
          Making::WorkUp.new(parts: seed ? [count(seed, bead_count, :seed)] : [], cuts: cuts(maker), steps: steps(bead_count),
            joins: joins, drawing: Lazy.new { layout }, yields: cut_into, lengths: Making::Lengths.new(beaded: fixed_length,
              working: [term(:coil, fixed_length, count: (second_turns.positive? ? second_turns : first_turns).round(1))]))
        end

        def joins
          carried = Making::Join.new(kind: :lines_through, inner: core, outer: as_tube, at: 0.0) if core && second_turns.positive?
          [*(through(wire, [seed]) if seed), *carried]
        end

        # The first coil, as what the core wire runs through.
        def as_tube
          Catalogue::Part.new(key: "coil_#{wire.key}", name: "coil of #{wire.name}", kind: :bead, hole: mandrel, along: pitch, outer: tube)
        end

        def cuts(maker)
          first = cut(:coil, wire, wound, seed ? plain_wire(wire, mandrel) : Measure::Length::ZERO, maker)
          return [first] unless core && second_turns.positive?

          [first, cut(:core, core, second_wound, plain_wire(core, second_mandrel), maker)]
        end

        def cut(role, line, body, consumption, maker)
          Making::Cut.new(line: line, count: 1, role: role, body: body, consumption: consumption,
            tails: Measure::Length.mm(HOLD_MM.fetch(maker.tails_on(line))) * 2, measured_to: Wire::CUT_TO)
        end

        def steps(beads)
          again = second_turns.positive?
          by = wound_by == :winder ? '_winder' : ''
          [step('cut', 'cutting_wire', again && core ? 2 : 1, gives: %i[cut tip], cautions: %i[cutting],
            text: :"coil_cut#{'_core' if again && core}"),
           (step('load', 'loading', beads, needs: %i[tip], gives: %i[seed], values: { beads: beads }) if seed),
           step('wind', 'close_coil', 1, effort: [Rational(first_turns.round, a_time(20)), Rational(1, 2)].max,
             needs: %i[cut], gives: %i[line bare], shuts: %i[tip], text: :"coil_wind#{by}#{'_beads' if seed}",
             values: { turns: seed ? first_turns.round(1) : first_turns, mandrel: mandrel, plain: plain_turns }),
           (step('core', 'stringing', 1, needs: %i[bare], values: { core: core }) if again && core),
           (step('wind_again', 'coil_over_coil', 1, effort: [Rational(second_turns, a_time(6)), Rational(1, 3)].max,
             gives: %i[line], shuts: %i[bare], text: core ? :coil_wind_on_core : :coil_wind_again,
             values: { turns: second_turns, mandrel: second_mandrel, plain: plain_turns }) if again),
           step('trim', 'trimming', 2, needs: %i[line], gives: %i[trimmed], checkpoint: true, text: :"coil_trim#{'_beads' if seed}",
             cautions: %i[cutting sharp_tails]),
           (step('cut_pieces', 'trimming', cut_into - 1, needs: %i[trimmed], values: { each: piece_length },
             cautions: %i[cutting]) if cut_into > 1),
           (step('swell', 'twisting_pairs', 1, needs: %i[trimmed], text: :"coil_swell#{'_to' if widest}") if swollen)].compact
        end

        # Turns that take a technique's usual time: a crank is five times as quick (common practice, no source: 50 mm of a close coil in
        # 0.81 mm wire take 80 seconds).
        def a_time(by_hand)
          by_hand * (wound_by == :winder ? 5 : 1)
        end

        # Seen from the side each turn is a slanting stroke; beads lie in one spiral row. Of a coil that is cut, one piece is drawn.
        def layout
          straight = [(first_turns / cut_into.to_f).ceil, wire.thickness, tube]
          turns, thick, wide = second_turns.positive? ? [second_turns, tube, outer] : straight
          number = (turns * pushed_together).ceil
          step = piece_length.to_mm / number
          across = ->(share) { wide.to_mm + ((widest_across - outer).to_mm * 4 * share * (1 - share)) }
          strokes = (0...number).map { |i| stroke((i + 0.5) * step, thick.to_mm, across.((i + 0.5) / number), step) }
          strokes + (0...bead_count).map { |i| (i + 0.5) / bead_count }.map { |share| bead_shape(share, number, across.(share)) }
        end

        def bead_shape(share, rounds, wide)
          part_shape(seed, :seed, share * fixed_length.to_mm, Math.cos(share * rounds * 2 * Math::PI) * (wide - seed.outer.to_mm) / 2)
            .with(along: seed.outer.to_mm, across: seed.along.to_mm)
        end

        def stroke(at, thick, wide, step)
          lean = step * 0.3
          half = [(wide - thick) / 2, 0.2].max
          Making::Shape.new(item: wire, role: :line, x: at, y: 0.0, along: step, across: thick * 0.8, form: :path,
            path: format('M%<a>.2f %<b>.2fL%<c>.2f %<d>.2f', a: -lean, b: -half, c: lean, d: half))
        end
      end
    end
  end
end
