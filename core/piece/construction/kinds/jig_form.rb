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

        # Beyond one turn of the end round the stem: the wire lies across and is pressed in (from memory).
        TUCKED_MM = 3
        # A bead on the stem keeps this free, so that it is not jammed (common practice, no source).
        FREE_MM = 3

        parameter :wire, :line, of: %i[wire]
        # From its foot on.
        parameter :path, :path, default: '2 mm x 270; 8 mm; 4 mm x -180; 8 mm; 2 mm x 270'
        # Measured off a finished one, in place of what the path comes to.
        parameter :measured, :length, required: false, range: Measure::Length.mm(5)..Measure::Length.mm(1000)
        # As the path has it; curled over into a closed curl; or with an eye below, in line with the stem.
        parameter :foot, :choice, of: %i[as_bent curl eye], default: :as_bent
        # Where others hang.
        parameter :eye, :length, default: '2 mm', range: Measure::Length.mm(0.5)..Measure::Length.mm(30)
        parameter :foot_turns, :integer, default: 1, range: 0..5, only_with: { foot: %i[eye] }
        # Of the other end round the stem, where it comes back to it.
        parameter :end_turns, :integer, default: 0, range: 0..5
        parameter :bead, :part, of: %i[bead], required: false
        parameter :bead_at, :choice, of: %i[stem foot], default: :stem
        # Off such a length form after form is bent, and each cut off when it is done.
        parameter :batch, :length, required: false, range: Measure::Length.mm(100)..Measure::Length.mm(1000)
        # Whether its eyes can be opened again.
        parameter :opening, :boolean, default: true
        parameter :hammered, :boolean, default: false

        def problems
          [(problem('bead', :bead_longer_than_stem, bead: on_stem, stem: stem) if bead && on_stem > stem),
           (problem('bead_at', :no_eye_at_the_foot) if bead && bead_at == :foot && foot != :eye)].compact
        end

        # From inside to inside of its outermost eyes.
        def fixed_length
          @fixed_length ||= Measure::Length.mm(track.width) - wire.thickness + below
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
          Measure::Length.mm(track.width) + wire.thickness + below
        end

        # An eye below the foot stands in line with the stem.
        def below
          foot == :eye ? eye + wire.thickness : Measure::Length::ZERO
        end

        # @return [Measure::Length] straight from the foot on, where a bead can lie
        def stem
          first = path.first
          first.turn? ? Measure::Length::ZERO : Measure::Length.mm(first.length)
        end

        # @return [Measure::Length] of straight wire that a bead needs
        def on_stem
          along(bead) + free
        end

        def free
          bead_at == :stem ? Measure::Length.mm(FREE_MM) : Measure::Length::ZERO
        end

        def across_all
          Measure::Length.mm(track.height + wire.thickness.to_mm)
        end

        def work_up(_solution, maker)
          Making::WorkUp.new(parts: bead ? [count(bead, 1, :bead)] : [], cuts: [cut(maker)], steps: steps,
            joins: bead ? through(wire, [bead]) : [], drawing: Lazy.new { layout }, lengths: Making::Lengths.new(beaded: fixed_length),
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

        # The sum of straight stretches and arcs through the wire's middle (arc length), and what its ends are worked with.
        def cut(maker)
          Making::Cut.new(line: wire, count: 1, role: :form, body: measured || Measure::Length.mm(track.length), consumption: ends_taken,
            tails: Measure::Length.mm(HOLD_MM.fetch(maker.tails_on(wire))) * 2, measured_to: Wire::CUT_TO, batch: batch)
        end

        # @return [Measure::Length] of wire in both ends, beyond the path
        def ends_taken
          tucked = Measure::Length.mm(TUCKED_MM)
          round = end_turns.positive? ? Wire.wraps(wire.thickness, end_turns) + tucked : Measure::Length::ZERO
          round + { as_bent: Measure::Length::ZERO, curl: Wire.eye(wire.thickness, eye) / 2,
                    eye: Wire.eye(wire.thickness, eye) + Wire.wraps(wire.thickness, foot_turns) + past_bead + tucked }.fetch(foot)
        end

        # Half round the bead that the foot's end is wound past.
        def past_bead
          bead && bead_at == :foot ? (bead.outer + wire.thickness) * (Math::PI / 2) : Measure::Length::ZERO
        end

        def board
          @board ||= Making::PegBoard.new(pegs: track.pegs, path: track.drawing, wire: wire, left_at_end: left_at_end,
            left_at_foot: left_at_foot)
        end

        def left_at_end
          end_turns.positive? ? Wire.wraps(wire.thickness, end_turns) + Measure::Length.mm(TUCKED_MM + HOLD_MM[:usual]) : hold_usual
        end

        def left_at_foot
          foot == :as_bent ? hold_usual : ends_taken - (end_turns.positive? ? left_at_end - hold_usual : Measure::Length::ZERO) + hold_usual
        end

        def hold_usual
          Measure::Length.mm(HOLD_MM[:usual])
        end

        def steps
          [step('cut', 'cutting_wire', 1, gives: %i[cut], cautions: %i[cutting]),
           step('form', 'jig_forming', 1, needs: %i[cut], gives: %i[line unworked bare_stem open_foot], pictured: board,
             values: { turns: path.count(&:turn?), left_at_foot: left_at_foot }),
           (step('hammer', 'hammering', 1, needs: %i[unworked], optional: true) if hammered), *finished_ends,
           step('compare', 'measuring', 1, needs: %i[finished], gives: %i[compared], checkpoint: true)].compact
        end

        # Its path alone makes it, as soon as both ends are cut.
        def plain?
          foot == :as_bent && end_turns.zero?
        end

        def finished_ends
          return [step('trim', 'trimming', 2, gives: %i[finished], shuts: %i[unworked], cautions: %i[cutting sharp_tails])] if plain?

          wound = (step('wind', 'wrapping_stem', 1, needs: %i[bare_stem], gives: %i[finished], shuts: %i[unworked],
            effort: [end_turns, 1].max, cautions: %i[cutting sharp_tails],
            values: { turned: end_turns }) if end_turns.positive?)
          return [wound].compact if foot == :as_bent

          on_stem = (step('bead', 'stringing', 1, needs: %i[open_foot], gives: %i[bead],
            shuts: %i[unworked bare_stem]) if bead && bead_at == :stem)
          [wound, on_stem, step('foot', foot == :eye ? 'simple_loop' : 'wrapping_stem', 1,
            gives: [:foot, :finished, *(:bead if bead && bead_at == :foot)], shuts: %i[unworked bare_stem open_foot],
            cautions: %i[cutting sharp_tails], text: foot_text,
            values: { turned: foot_turns })].compact
        end

        def foot_text
          return :jig_form_foot_curl if foot == :curl

          bead && bead_at == :foot ? :jig_form_foot_bead : :jig_form_foot_eye
        end

        # Its eyes lie on the middle line of the piece, so that it hangs in line.
        def layout
          thick = wire.thickness.to_mm
          form = Making::Shape.new(item: wire, role: :line, x: below.to_mm + ((fixed_length - below).to_mm / 2), y: -axis,
            along: track.width + thick, across: thick, form: :path, path: track.drawing)
          [form, (foot_shape if foot == :eye), (bead_shape if bead)].compact
        end

        # @return [Float] how far below the middle of the path its first eye lies, or its foot, in millimetres
        def axis
          path.first.turn? ? track.pegs.first.y : track.start.last
        end

        # Where the path begins, seen from the drawing's left end.
        def foot_at
          below.to_mm + ((fixed_length - below).to_mm / 2) + track.start.first
        end

        def foot_shape
          size = (eye + (wire.thickness * 2)).to_mm
          Making::Shape.new(item: wire, role: :line, x: foot_at - (size / 2) + wire.thickness.to_mm, y: 0.0, along: size, across: size,
            form: :ring, since: :foot)
        end

        def bead_shape
          lies = bead_at == :foot ? along(bead) / 2 : stem / 2
          part_shape(bead, :bead, foot_at + lies.to_mm)
        end
      end
    end
  end
end
