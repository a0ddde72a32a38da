# frozen_string_literal: true

module Core
  module Construction
    # Large-holed beads held on one or several cords by knots before and after each, closed by a slider or a loop over a bead.
    class KnottedCord < Base
      key :knotted_cord
      takes_hanging

      # A knot lies about this many bundle thicknesses along the cord (from memory).
      KNOT_ALONG = 3
      # and across it (from memory).
      KNOT_ACROSS = Rational(9, 5)
      # Cord an overhand knot takes, in thicknesses of what is knotted (from memory).
      OVERHAND = 12
      # How far a sliding knot opens the piece, and the cord each end needs to be pulled by (from memory).
      SLIDER_PLAY_MM = 60
      PULL_MM = 60

      parameter :cord, :line
      parameter :cords, :integer, default: 1, range: 1..6
      # Cuts that are folded in the middle, each of which makes two cords.
      parameter :folded, :integer, default: 0, range: 0..3
      parameter :beads, :pattern
      parameter :knot, :choice, of: %i[overhand barrel], default: :overhand
      # Turns of a barrel knot.
      parameter :turns, :integer, default: 3, range: 2..8
      parameter :bare, :length, default: '10 mm', range: Measure::Length.mm(0)..Measure::Length.mm(200)
      parameter :closure, :choice, of: %i[loop slider cord_ends], default: :loop
      # The bead that the loop passes over.
      # A bead or slider that both ends run through and that holds them by friction, in place of a sliding knot.
      parameter :slider, :part, of: %i[slider bead], required: false
      # Glued on both ends of the cords, in place of a loop or a slider.
      parameter :cord_end, :part, of: %i[cord_end], required: false
      parameter :button, :part, of: %i[bead pendant], required: false

      def problems
        [(trouble('beads', :pattern_of_nothing) if beads.empty?),
         (trouble('beads', :nothing_may_fill) if beads.fills?),
         (trouble('folded', :too_many_folded, cords: cords) if folded * 2 > cords),
         (trouble('button', :button_missing) if closure == :loop && button.nil?),
         (trouble('cord_end', :cord_end_missing) if closure == :cord_ends && cord_end.nil?)].compact
      end

      def fill
        @fill ||= Sizing::Fill.new(base: bare + closing_length, step: beads.fixed_length + (knot_length * 2) + bare,
          height: tallest(beads.expand), most: 300)
      end

      def play
        closure == :slider ? Measure::Length.mm(SLIDER_PLAY_MM) : Measure::Length::ZERO
      end

      def on_line(solution)
        bare = Element.bare(self.bare, bundle)
        beaded = [tied, *elements(beads.expand), tied, bare]
        before, after = closing_row
        [*before, bare, *(beaded * solution.repeats), *after]
      end

      private

      # @return [Measure::Length] across all cords bundled, by the circle-packing ratio
      def bundle
        cord.thickness * Measure::Bundle.ratio(cords)
      end

      def knot_length
        bundle * KNOT_ALONG
      end

      # A barrel knot of t turns takes (2π·t + 4) thicknesses (from memory).
      # @return [Measure::Length] cord that one knot takes, for each cord
      def knot_consumption
        bundle * (knot == :barrel ? (2 * Math::PI * turns) + 4 : OVERHAND)
      end

      # Loop and button with their knots, or the sliding knot.
      def closing_length
        case closure
        when :loop then button.along + (button.outer / 2) + (knot_length * 2)
        when :slider then slider ? slider.along : knot_length * 2
        else cord_end.along * 2
        end
      end

      # The loop goes round the button; the slider's two knots are tied round the other end.
      def closing_consumption
        return Measure::Length::ZERO if closure == :cord_ends

        return Measure::Length::ZERO if closure == :slider && slider

        knots = knot_consumption * 2
        closure == :loop ? knots + (button.outer * Math::PI) : knots
      end

      def work_up(solution, maker)
        n = solution.repeats
        bead_uses = tally(beads.expand.map { |part| [part, :bead] }, n)
        WorkUp.new(parts: bead_uses + closing_parts, cuts: cuts(solution, maker), steps: steps(n), joins: joins,
          drawing: Lazy.new { layout(solution) }, lengths: lengths(solution),
          anchors: Lazy.new { [Anchor.new(item: cord, x: solution.length.to_mm / 2, y: 0.0, closing_step: 'close')] })
      end

      def tied
        Element.new(along: knot_length, height: bundle * Rational(KNOT_ACROSS, 2), width: bundle * KNOT_ACROSS, profile: :round)
      end

      # @return [(Array<Element>, Array<Element>)] before the first bare stretch and after the last
      def closing_row
        case closure
        when :loop then [[Element.of(button), tied], [tied, Element.bare(button.outer / 2, bundle)]]
        when :slider then [slider ? [Element.of(slider)] : [tied, tied], []]
        else [[Element.of(cord_end)], [Element.of(cord_end)]]
        end
      end

      def closing_parts
        part, number = { loop: [button, 1], cord_ends: [cord_end, 2], slider: [slider, 1] }.fetch(closure)
        part ? [count(part, number, part.kind)] : []
      end

      # A folded cut serves two cords at once.
      def cuts(solution, maker)
        pulled = closure == :slider ? Measure::Length.mm(PULL_MM * 2) : Measure::Length::ZERO
        tails = (Tails.at(Tails::KNOTTED_MM, maker, cord) * 2) + pulled
        consumption = (knot_consumption * 2 * solution.repeats) + closing_consumption
        single = Cut.new(line: cord, count: cords - (folded * 2), role: :cord, body: solution.length, consumption: consumption,
          tails: tails)
        double = Cut.new(line: cord, count: folded, role: :folded_cord, body: solution.length * 2, consumption: consumption * 2,
          tails: tails)
        [single, double].select { |cut| cut.count.positive? }
      end

      def lengths(solution)
        n = solution.repeats
        Lengths.new(beaded: solution.length, play: play, repeats: n, unit: fill.step, options: solution.options,
          working: [term(:closure, closing_length),
                    term(:beads_of, beads.fixed_length * n, count: n, each: beads.fixed_length),
                    term(:knots_of, knot_length * 2 * n, count: 2 * n, each: knot_length),
                    term(:bare_of, bare * (n + 1), count: n + 1, each: bare)])
      end

      def steps(repeats)
        skill = knot == :barrel ? 'barrel_knot' : 'overhand_knot'
        [step('cut', 'cutting_line', cords - folded, preparable: true),
         step('gather', 'measuring', 1, after: %w[cut], values: { cords: cords, folded: folded })
           .then { |one| cords > 1 ? one : one.with(text: :knotted_cord_lay) },
         step('knot', skill, repeats * 2, after: %w[gather], values: { beads: repeats, knots: repeats * 2 }),
         step('check_length', 'measuring', 1, after: %w[knot], checkpoint: true, values: { beads: repeats }),
         closing_step,
         step('trim', 'trimming', cords, after: [closing_step.key], cautions: %i[cutting])]
      end

      def closing_step
        return step('glue', 'gluing', 2, after: %w[check_length], waits: Stretch::GLUE_MINUTES,
          cautions: %i[cement]) if closure == :cord_ends
        return step('slide', 'stringing', 2, after: %w[check_length]) if closure == :slider && slider

        step('close', closure == :slider ? 'barrel_knot' : 'overhand_knot', 2, effort: Strung::SECOND_END_EFFORT, after: %w[check_length],
          values: { closure: closure })
      end

      def joins
        closing = {
          cord_ends: (Join.new(kind: :cord_in_end, inner: cord, outer: cord_end, at: 0.0, passes: cords) if cord_end),
          slider: (Join.new(kind: :holds_by_friction, inner: cord, outer: slider, at: 0.0,
            passes: 2 * cords) if slider)
        }[closure]
        [*through(cord, beads.expand, passes: cords), *closing]
      end

      def layout(solution)
        at = first_length + bare.to_mm
        shapes = (0...solution.repeats).flat_map do |i|
          start = at + (i * fill.step.to_mm)
          [knot_shape(start), *bead_shapes(start + knot_length.to_mm), knot_shape(start + knot_length.to_mm + beads.fixed_length.to_mm)]
        end
        cords_drawn = across(cords, cord.thickness.to_mm).map { |y| line_shape(cord, solution.length.to_mm, y) }
        cords_drawn + closing_shapes(solution) + shapes
      end

      # @return [Float] millimetres before the first bare stretch
      def first_length
        {
          loop: (button ? button.along + knot_length : nil),
          slider: slider ? slider.along : knot_length,
          cord_ends: cord_end&.along
        }.fetch(closure).to_mm
      end

      def closing_shapes(solution)
        return [part_shape(button, :button, button.along.to_mm / 2)] if closure == :loop
        return slider ? [part_shape(slider, :slider, slider.along.to_mm / 2)] : [] if closure == :slider

        half = cord_end.along.to_mm / 2
        [half, solution.length.to_mm - half].map { |x| part_shape(cord_end, :cord_end, x) }
      end

      def bead_shapes(start)
        running(beads.expand, start).zip(beads.expand).map { |x, part| part_shape(part, :bead, x) }
      end

      def knot_shape(start)
        Shape.new(item: cord, role: :line, x: start + (knot_length.to_mm / 2), y: 0.0, along: knot_length.to_mm,
          across: bundle.to_mm * KNOT_ACROSS, form: :knot)
      end
    end
  end
end
