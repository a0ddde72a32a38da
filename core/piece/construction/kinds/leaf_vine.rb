# frozen_string_literal: true

module Core
  module Construction
    module Kinds
      # Leaf beads on two soft wires that are folded to one wrapped loop in the middle: each side is a pair of wires, twisted from leaf to
      # leaf, with leaves outward to the left and the right in turn. It is as long as its leaves and twists make it; what stands beside it
      # takes the size.
      class LeafVine < Base
        key :leaf_vine
        rank 205
        takes_hanging
        measured_when_made

        # On a side (common practice, no source): what the wraps at the foot of a leaf take, and the base up to the first leaf.
        FOOT = Measure::Length.mm(2)
        BASE = Measure::Length.mm(5)
        # Of each wire of a side (common practice, no source): its share of the middle loop, the base, the loop at the end, and what a leaf
        # takes beyond its own length there and back.
        LOOP_MM = 15
        BASE_MM = 10
        END_MM = 30
        LEAF_MM = 7
        # There along the hole, back along the edge, of the bead's length; a twisted pair takes more than its length.
        ROUND_LEAF = 2.2
        TWISTED = 1.15
        # What is cut of what is used.
        CUT_FACTORS = { lean: Rational(105, 100), usual: Rational(110, 100), generous: Rational(115, 100) }.freeze
        # How far leaves lean outward from the stem, in degrees (a drawing, from memory).
        LEAN = 62

        parameter :wire, :line, of: %i[wire]
        parameter :leaf, :pattern
        parameter :per_side, :integer, default: 10, range: 1..60
        # Common practice, no source: 6 is dense, 12 airy.
        parameter :twist, :length, default: '10 mm', range: Measure::Length.mm(4)..Measure::Length.mm(40)
        parameter :centre_inner, :length, default: '3 mm', range: Measure::Length.mm(1)..Measure::Length.mm(15)
        parameter :foot_wraps, :integer, default: 2, range: 1..3
        # Turned edge-on, so that what hangs in it lies flat.
        parameter :edge_on, :boolean, default: true

        def problems
          [(problem('leaf', :pattern_of_nothing) if leaf.empty?), (problem('leaf', :nothing_may_fill) if leaf.fills?)].compact
        end

        def fixed_length
          @fixed_length ||= side * 2
        end

        def on_line(_solution)
          [Making::ThreadedElement.bare(fixed_length, wire.thickness * 2)]
        end

        private

        # @return [Measure::Length] from the middle to the end, the leaf in the base counted in
        def side
          ((twist + FOOT) * (per_side - 1)) + BASE
        end

        # @return [Array<Catalogue::Part>] leaves of one side, from the middle outward
        def leaves
          @leaves ||= leaf.expand.cycle.first(per_side)
        end

        # Half of a side's leaves, rounded up, lie on the wire that takes more of them.
        # @return [Measure::Length] of one wire on one side
        def used
          most = leaves.max_by(per_side.fdiv(2).ceil) { |part| part.along.to_mm }
          Measure::Length.mm(LOOP_MM + BASE_MM + END_MM + (twist.to_mm * TWISTED * (per_side - 1)) +
            most.sum { |part| (ROUND_LEAF * part.along.to_mm) + LEAF_MM })
        end

        def work_up(_solution, maker)
          whole = used * 2
          cut = Making::Cut.new(line: wire, count: 2, role: :vine, body: whole, consumption: Measure::Length::ZERO,
            tails: whole * (CUT_FACTORS.fetch(maker.tails_on(wire)) - 1), measured_to: Measure::Length.mm(5),
            worked: Making::Worked.new(step: 'right_leaves', unit: :leaf, number: per_side, ends: 2))
          Making::WorkUp.new(parts: tally(leaves.map { |part| [part, :leaf] }, 2), cuts: [cut], steps: steps, joins: through(wire, leaves),
            drawing: Lazy.new { layout }, anchors: Lazy.new { [middle] },
            lengths: Making::Lengths.new(beaded: fixed_length, working: working),
            ends: { first: 'left_loop', last: 'right_loop' }.transform_values { |closing|
              Making::Attachment.new(item: wire, passes: 2, closing_step: closing)
            })
        end

        def working
          [term(:twists_along, (twist + FOOT) * (per_side - 1) * 2, count: (per_side - 1) * 2, each: twist), term(:vine_base, BASE * 2)]
        end

        # The loop of two wires in the middle.
        def centre_loop
          @centre_loop ||= begin
            across = centre_inner + (wire.thickness * 2)
            Catalogue::Part.new(key: "centre_loop_#{wire.key}", name: 'centre loop', kind: :connector, along: across, outer: across,
              hole: centre_inner, wire: wire.thickness * 2, form: :ring, colour: wire.colour)
          end
        end

        def middle
          Making::Anchor.new(item: centre_loop, x: fixed_length.to_mm / 2, y: centre_loop.outer.to_mm, reach: 0.0, origin: 'centre')
        end

        def steps
          further = per_side - 1
          [step('try_beads', 'measuring', 1, gives: %i[tried]),
           step('cut', 'cutting_wire', 2, needs: %i[tried], gives: %i[cut], cautions: %i[cutting]),
           step('centre', 'wrapped_loop', 1, wires: 2, needs: %i[cut], gives: %i[line centre],
             pictured: Making::WireEye.new(thickness: wire.thickness * 2, inside: centre_inner, wraps: 1)),
           step('first_leaves', 'wiring_leaf', 2, needs: %i[centre], gives: %i[leaf first_leaves]),
           step('cross', 'twisting_pairs', 1, needs: %i[first_leaves], gives: %i[crossed right_tip left_tip], cautions: %i[work_hardening]),
           *side_steps('right', [], further),
           step('check_right', 'measuring', 1, needs: %i[right_loop], gives: %i[right_side], checkpoint: true, values: { length: side }),
           *side_steps('left', %i[right_side], further),
           step('check_length', 'measuring', 1, needs: %i[left_loop], gives: %i[length], checkpoint: true,
             values: { length: fixed_length }),
           (step('turn_centre', 'shaping_vine', 1, needs: %i[crossed], effort: Rational(1, 3)) if edge_on),
           step('shape', 'shaping_vine', 1, needs: %i[length], gives: %i[shaped])].compact
        end

        # One side after the other, so that the second is laid on the first.
        # @param needs [Array<Symbol>] facts that must be so before this side is begun
        def side_steps(which, needs, further)
          tip = :"#{which}_tip"
          leaves = (step("#{which}_leaves", 'wiring_leaf', further, needs: [tip, *needs], gives: [:leaf, :"#{which}_leaves"],
            text: :"leaf_vine_#{which}_leaves", values: { leaves: per_side }) if further.positive?)
          [leaves, step("#{which}_loop", 'wrapped_loop', 1, wires: 2, needs: needs, gives: [:"#{which}_loop"], shuts: [tip],
            cautions: %i[cutting sharp_tails], text: :leaf_vine_end_loop, values: { hung: [], side: which })].compact
        end

        def layout
          half = fixed_length.to_mm / 2
          [centre_shape(half), *[-1, 1].flat_map { |way| [pair(half, way), *leaf_shapes(half, way)] }]
        end

        # Edge-on, only its wires are seen.
        def centre_shape(half)
          size = centre_loop.outer.to_mm
          shape = Making::Shape.new(item: centre_loop, role: :line, x: half, y: size / 2, along: size, across: size, form: :ring)
          return shape unless edge_on

          shape.with(across: centre_loop.wire.to_mm, form: :path, path: format('M0 %.2fV%.2f', -size / 2, size / 2))
        end

        # Two strands that cross once every half turn of the pair.
        def pair(half, way)
          thick = wire.thickness.to_mm
          crossings = (side.to_mm / (thick * TwistedVine::LAY / 2)).round
          step = way * side.to_mm / crossings
          further = format('t%.2f 0', step) * (crossings - 1)
          strands = [-1, 1].map { |up| format('M0 0q%.2f %.2f %.2f 0', step / 2, up * thick * 1.3, step) + further }
          Making::Shape.new(item: wire, role: :line, x: half, y: 0.0, along: 0.0, across: thick, form: :path, path: strands.join,
            since: per_side > 1 ? grown(way) : :crossed)
        end

        # @return [Symbol] the fact that a side has its leaves
        def grown(way)
          way.positive? ? :right_leaves : :left_leaves
        end

        # Leaves stand above and below in turn, and the wire lies along their outer edge.
        def leaf_shapes(half, way)
          leaves.each_with_index.flat_map do |part, i|
            up = i.even? ? -1 : 1
            reach = (part.along.to_mm / 2) + (wire.thickness.to_mm * foot_wraps)
            lean = LEAN * Math::PI / 180
            out = half + (way * ((BASE.to_mm / 2) + (i * (twist + FOOT).to_mm) + (reach * Math.cos(lean))))
            at = [out.clamp(0.0, fixed_length.to_mm), up * reach * Math.sin(lean)]
            turn = way.positive? ? up * LEAN : 180 - (up * LEAN)
            since = i.zero? ? :first_leaves : grown(way)
            [edge(part, at, turn, up * way), part_shape(part, :leaf, *at).with(turn: turn)].map { |shape| shape.with(since: since) }
          end
        end

        def edge(part, (x_mm, y_mm), turn, outer)
          along, across = (part.along.to_mm / 2) + 0.3, (part.outer.to_mm / 2) + 0.3
          path = format('M%.2f 0A%.2f %.2f 0 0 %d %.2f 0', -along, along, across, outer.positive? ? 1 : 0, along)
          Making::Shape.new(item: wire, role: :line, x: x_mm, y: y_mm, along: along * 2, across: wire.thickness.to_mm, form: :path,
            path: path + format('M%.2f -0.8v1.6m-0.5 0v-1.6', -along), turn: turn)
        end
      end
    end
  end
end
