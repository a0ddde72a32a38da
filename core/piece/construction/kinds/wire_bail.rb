# frozen_string_literal: true

module Core
  module Construction
    module Kinds
      # A button or stone with a shank, hung from a wire that is wound through the shank, led up as a stem, bent into a bail and wound down
      # the stem again.
      class WireBail < Base
        key :wire_bail
        rank 160
        takes_hanging

        # Held at each end (common practice, no source: 355 to 380 in all for a 30 mm button in 0.64 wire).
        HOLD_MM = { lean: 35, usual: 50, generous: 75 }.freeze

        parameter :wire, :line, of: %i[wire]
        parameter :button, :part, of: %i[bead pendant]
        # Across the shank that the wire goes round (from memory).
        parameter :shank, :length, default: '6 mm', range: Measure::Length.mm(1)..Measure::Length.mm(30)
        parameter :turns, :integer, default: 6, range: 1..30
        parameter :stem, :length, default: '10 mm', range: Measure::Length.mm(2)..Measure::Length.mm(60)
        parameter :bail, :length, default: '6 mm', range: Measure::Length.mm(2)..Measure::Length.mm(30)
        parameter :bail_turns, :integer, default: 2, range: 1..6
        parameter :second_coil, :boolean, default: false

        # From inside its bail to the button's lower edge.
        def fixed_length
          bail + wire.thickness + stem + button.outer
        end

        def on_line(_solution)
          [Making::ThreadedElement.new(along: fixed_length, height: button.outer / 4, width: button.outer, profile: :pointed)]
        end

        def beyond(place)
          place == :first ? wire.thickness : Measure::Length::ZERO
        end

        def as_part(work_up, **identity)
          Catalogue::Part.new(**identity, kind: :pendant, along: work_up.lengths.beaded + wire.thickness, outer: button.outer, hole: bail,
            wall: wire.thickness * bail_turns,
            wire: wire.thickness,
            form: :drop, colour: button.colour, mark: button.mark)
        end

        private

        def bail_across
          bail + (wire.thickness * 2)
        end

        def bail_part
          @bail_part ||= Catalogue::Part.new(key: "bail_#{wire.key}", name: "bail of #{wire.name}", kind: :connector, along: bail_across,
            outer: bail_across,
            hole: bail, wire: wire.thickness, form: :ring, colour: wire.colour)
        end

        def work_up(_solution, maker)
          Making::WorkUp.new(parts: [count(button, 1, :button)], cuts: [cut(maker)], steps: steps, joins: [], drawing: Lazy.new { layout },
            lengths: Making::Lengths.new(beaded: fixed_length,
              working: [term(:bail, bail + wire.thickness), term(:stem, stem), term(:button, button.outer)]),
            ends: { first: Making::Attachment.new(item: bail_part) })
        end

        # Turns of the helix of zero pitch: circles through the wire's middle. The stem is two wires side by side; the coil goes round both.
        def cut(maker)
          body = (Wire.eye(wire.thickness, shank) * turns) + (Wire.eye(wire.thickness, bail) * bail_turns) + (stem * 2)
          coil = Wire.round_two(wire.thickness, wire.thickness) * (stem / wire.thickness).floor * (second_coil ? 2 : 1)
          Making::Cut.new(line: wire, count: 1, role: :bail, body: body, consumption: coil,
            tails: Measure::Length.mm(HOLD_MM.fetch(maker.tails_on(wire))) * 2,
            measured_to: Wire::CUT_TO)
        end

        def steps
          [step('cut', 'cutting_wire', 1, gives: %i[cut], cautions: %i[cutting]),
           step('wind', 'shank_bail', 1, needs: %i[cut], gives: %i[line button],
             values: { turns: turns, bail_turns: bail_turns, bail: bail }),
           step('coil', 'close_coil', second_coil ? 2 : 1, effort: Rational(1, 2), needs: %i[button], gives: %i[coiled]),
           step('trim', 'trimming', 2, needs: %i[coiled], gives: %i[trimmed], cautions: %i[cutting sharp_tails]),
           step('check', 'measuring', 1, needs: %i[trimmed], checkpoint: true)]
        end

        def layout
          top = (bail + wire.thickness).to_mm
          size = bail_across.to_mm
          [Making::Shape.new(item: bail_part, role: :line, x: bail.to_mm / 2, y: 0.0, along: size, across: size, form: :ring),
           line_shape(wire, stem.to_mm, from: top).with(across: wire.thickness.to_mm * 4),
           part_shape(button, :button, top + stem.to_mm + (button.outer.to_mm / 2)).with(along: button.outer.to_mm)]
        end
      end
    end
  end
end
