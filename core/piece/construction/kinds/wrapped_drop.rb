# frozen_string_literal: true

module Core
  module Construction
    module Kinds
      # A drop bead with its hole across the top, hung in its own wire: both ends go up, cross, and stand; a loop above closes in what it
      # hangs in, and the wire winds down the neck and over the shoulders of the bead.
      class WrappedDrop < Base
        key :wrapped_drop
        rank 106

        # Straight up from the crossing to the loop (from memory).
        NECK_MM = 2.0

        parameter :wire, :line, of: %i[wire]
        parameter :drop, :part, of: %i[pendant bead]
        parameter :inner, :length, default: '3 mm', range: Measure::Length.mm(1)..Measure::Length.mm(20), group: :wire_eye
        parameter :neck_turns, :integer, default: 3, range: 1..12, group: :wire_eye
        # Loosely over the shoulders; none keeps the neck neat.
        parameter :shoulder_turns, :integer, default: 4, range: 0..15, group: :wire_eye

        # From inside its loop to its tip.
        def fixed_length
          inner + wire.thickness + neck + drop.along
        end

        def on_line(_solution)
          [Making::ThreadedElement.new(along: fixed_length, height: drop.outer / 2, width: drop.outer, profile: :pointed)]
        end

        def as_part(work_up, **identity)
          Catalogue::Part.new(**identity, kind: :pendant, outer: drop.outer, along: work_up.lengths.beaded + wire.thickness, hole: inner,
            wire: wire.thickness, form: :drop, colour: drop.colour, mark: drop.mark)
        end

        private

        def neck
          [wire.thickness * neck_turns, Measure::Length.mm(NECK_MM)].max
        end

        def work_up(_solution, maker)
          Making::WorkUp.new(parts: [count(drop, 1, :drop)], cuts: [cut(maker)], steps: steps, joins: through(wire, [drop]),
            drawing: Lazy.new { layout }, lengths: Making::Lengths.new(beaded: fixed_length, working: working),
            ends: { first: Making::Attachment.new(item: eye, shut_with: :loop) })
        end

        def working
          [term(:drop_eye, inner + wire.thickness + neck), term(:drop_bead, drop.along)]
        end

        def eye
          @eye ||= begin
            across = inner + (wire.thickness * 2)
            Catalogue::Part.new(key: "eye_#{wire.key}_#{drop.key}", name: "loop of the #{drop.short_name}", kind: :connector, along: across,
              outer: across, hole: inner, wire: wire.thickness, form: :ring, colour: wire.colour)
          end
        end

        # Through the hole and up on both sides, the loop, the neck round two wires, and turns that widen from the neck to the bead (circles
        # through the wire's middle).
        def cut(maker)
          wide, thick = drop.outer, wire.thickness
          neck_round = Wire.round_two(thick, thick) * neck_turns
          shoulders = (wide + (thick * 3)) * (Math::PI / 2 * shoulder_turns)
          taken = [wide, neck * 2, Wire.eye(thick, inner), neck_round, shoulders]
          Making::Cut.new(line: wire, count: 1, role: :drop, body: wide, consumption: Measure::Length.sum(taken),
            tails: Wire.hold(maker.tails_on(wire), neck_round) * 2, measured_to: Wire::CUT_TO)
        end

        def steps
          [step('cut', 'cutting_wire', 1, gives: %i[cut], cautions: %i[cutting]),
           step('thread', 'stringing', 1, needs: %i[cut], gives: %i[drop loose]),
           step('loop', 'wrapping_drop', 1, needs: %i[drop], gives: %i[line loop], shuts: %i[loose], values: { hung: [] },
             pictured: Making::WireEye.new(thickness: wire.thickness, inside: inner, wraps: neck_turns, beside: drop, through: false)),
           step('check', 'measuring', 1, needs: %i[loop], checkpoint: true)]
        end

        def layout
          half = inner.to_mm / 2
          size = eye.along.to_mm
          bead = fixed_length.to_mm - (drop.along.to_mm / 2)
          [Making::Shape.new(item: eye, role: :line, x: half, y: 0.0, along: size, across: size, form: :ring),
           line_shape(wire, neck.to_mm, from: inner.to_mm + wire.thickness.to_mm).with(across: wire.thickness.to_mm * 3),
           part_shape(drop, :drop, bead)]
        end
      end
    end
  end
end
