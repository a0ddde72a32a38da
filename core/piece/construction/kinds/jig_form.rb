# frozen_string_literal: true

module Core
  module Construction
    module Kinds
      # One wire bent over pegs into a flat form: a link, a frame, half of a clasp. Its path is written as straight stretches and turns
      # round pegs: "10 mm; 4 mm x 180; 6 mm; 3 mm x -270".
      class JigForm < Base
        key :jig_form
        rank 140
        takes_hanging

        # What the hand needs to bend each end round its peg (from memory).
        HOLD_MM = { lean: 3, usual: 6, generous: 12 }.freeze

        technique 'jig_forming', name: 'Forming on a jig', level: 3, seconds: 180, demonstration_minutes: 5,
          tools: %w[jig round_pliers cutters],
          cautions: %i[cutting], points: ['Bend always round the peg, never before it.',
          'Hold down what lies already, so that it stays flat.'],
          goes_wrong: [
            'A corner where a curve should be | bent before the peg | straighten it and bend round the peg | before the next turn | 2 | 0',
            'Both are not alike | other pegs were used | mark the pegs and lay one on the other | before the ends are cut | 4 | 1 cut'
          ],
          practice: 'One form of scrap wire', practice_takes: ['line 150 mm'], practice_minutes: 6,
          left_hand: 'Start from the last peg, or turn the finished form over.'
        technique 'hammering', name: 'Hammering flat', level: 2, seconds: 60, demonstration_minutes: 2, tools: %w[hammer steel_block],
          points: ['Small blows, on a block, curves only.', 'Not where wires cross: they cut each other.'],
          goes_wrong: [
            'A crossing is hammered through | wires lay over each other on the block | begin again | before the blow | 8 | 1 cut'
          ],
          practice: 'A curve of scrap wire', practice_minutes: 3

        parameter :wire, :line, of: %i[wire]
        parameter :path, :path, default: '2 mm x 270; 8 mm; 4 mm x -180; 8 mm; 2 mm x 270'
        # Measured off a finished one, in place of what the path comes to.
        parameter :measured, :length, required: false, range: Measure::Length.mm(5)..Measure::Length.mm(1000)
        # Where others hang.
        parameter :eye, :length, default: '2 mm', range: Measure::Length.mm(0.5)..Measure::Length.mm(30)
        # Whether its eyes can be opened again.
        parameter :opening, :boolean, default: true
        parameter :hammered, :boolean, default: false

        # From inside to inside of its outermost eyes.
        def fixed_length
          @fixed_length ||= Measure::Length.mm(track.width) - wire.thickness
        end

        def on_line(_solution)
          [Making::ThreadedElement.new(along: fixed_length, height: wire.thickness / 2, width: across_all, profile: :pointed)]
        end

        def beyond(_place)
          wire.thickness
        end

        def as_part(_work_up, **identity)
          Catalogue::Part.new(**identity, kind: :connector, along: over_all, outer: across_all, hole: eye, wire: wire.thickness,
            soldered: !opening, form: :connector, colour: wire.colour, mark: 'J')
        end

        private

        def track
          @track ||= BentPath.new(path, wire.thickness.to_mm)
        end

        def over_all
          Measure::Length.mm(track.width) + wire.thickness
        end

        def across_all
          Measure::Length.mm(track.height + wire.thickness.to_mm)
        end

        def work_up(_solution, maker)
          Making::WorkUp.new(parts: [], cuts: [cut(maker)], steps: steps, joins: [], drawing: Lazy.new { layout },
            lengths: Making::Lengths.new(beaded: fixed_length),
            ends: { first: Making::Attachment.new(item: eye_part), last: Making::Attachment.new(item: eye_part) },
            anchors: Lazy.new { part_anchors([as_part_of_itself], ['path']) { fixed_length } })
        end

        # An eye at either end, as what others hang in.
        def eye_part
          @eye_part ||= Catalogue::Part.new(key: "eye_#{wire.key}", name: 'eye of the form', kind: :connector,
            along: eye + (wire.thickness * 2),
            outer: eye + (wire.thickness * 2), hole: eye, wire: wire.thickness, soldered: !opening, form: :ring, colour: wire.colour)
        end

        def as_part_of_itself
          eye_part.with(along: over_all, outer: across_all)
        end

        # The sum of straight stretches and arcs through the wire's middle (arc length).
        def cut(maker)
          Making::Cut.new(line: wire, count: 1, role: :form, body: measured || Measure::Length.mm(track.length),
            consumption: Measure::Length::ZERO, tails: Measure::Length.mm(HOLD_MM.fetch(maker.tails_on(wire))) * 2,
            measured_to: Wire::CUT_TO)
        end

        def steps
          [step('cut', 'cutting_wire', 1, preparable: true, cautions: %i[cutting]),
           step('form', 'jig_forming', 1, after: %w[cut], adds: %i[line], values: { turns: path.count(&:turn?) }),
           (step('hammer', 'hammering', 1, after: %w[form], optional: true) if hammered),
           step('trim', 'trimming', 2, after: [hammered ? 'hammer' : 'form'], checkpoint: true, cautions: %i[cutting sharp_tails])].compact
        end

        def layout
          thick = wire.thickness.to_mm
          [Making::Shape.new(item: wire, role: :line, x: fixed_length.to_mm / 2, y: 0.0, along: track.width + thick, across: thick,
            form: :path, path: track.drawing)]
        end
      end
    end
  end
end
