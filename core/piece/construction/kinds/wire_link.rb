# frozen_string_literal: true

module Core
  module Construction
    module Kinds
      # Beads on a short wire that ends in an eye on either side, or in the head of a pin: a link, a drop or a charm. With no beads it is
      # a bare link, whose eyes share one stem.
      class WireLink < Base
        key :wire_link
        rank 100
        takes_hanging
        include Caps
        include Work

        EYES = %i[simple wrapped double_wrapped].freeze
        TECHNIQUES = { simple: 'simple_loop', wrapped: 'wrapped_loop', double_wrapped: 'double_wrapped_loop' }.freeze

        parameter :wire, :line, of: %i[wire]
        parameter :stack, :pattern, default: [].freeze
        # Away from the wearer's end: what closes the link below.
        parameter :last, :choice, of: [*EYES, :pin], default: :simple, group: :wire_eye
        parameter :first, :choice, of: EYES, default: :simple, group: :wire_eye
        parameter :pin, :part, of: Catalogue::Part::PINS, required: false, group: :wire_eye
        parameter :inner, :length, default: '3 mm', range: Measure::Length.mm(1)..Measure::Length.mm(20), group: :wire_eye
        # Of the eye at the far end, where it has a size of its own.
        parameter :inner_last, :length, required: false, range: Measure::Length.mm(1)..Measure::Length.mm(20), group: :wire_eye
        parameter :wraps, :integer, default: 3, range: 1..12, group: :wire_eye
        # Exactly so many turns, for a pair; until the stem is full; or down and back over them, thick, so that a large hole does not slip
        # over.
        parameter :wrapped_way, :choice, of: %i[exactly until_full down_and_back], default: :exactly, group: :wire_eye
        # Off such a length link after link is worked, and each cut off when it is done.
        parameter :batch, :length, required: false, range: Measure::Length.mm(100)..Measure::Length.mm(1000)
        parameter :quarter_turned, :boolean, default: false, group: :wire_eye

        def problems
          [(problem('stack', :pattern_of_nothing) if stack.empty? && last == :pin), (problem('stack', :nothing_may_fill) if stack.fills?),
           (problem('pin', :pin_missing) if last == :pin && pin.nil?),
           (problem('pin', :pin_too_short, needed: above_pin, has: pin.along) if last == :pin && pin && pin.along < above_pin)].compact
        end

        # From where it hangs to where others hang in it, or to its pin's head.
        def fixed_length
          @fixed_length ||= stack.fixed_length + standing(:first) + standing(:last)
        end

        def on_line(_solution)
          [eye_element(:first), *elements(beads), eye_element(:last)]
        end

        def beyond(place)
          place == :last && last == :pin ? Measure::Length::ZERO : thickness
        end

        # What hangs in an eye, or the eye itself, is as thick as the wire; a simple eye can be opened again.
        def as_part(work_up, **identity)
          eyes = ends.count { |one| one != :pin }
          Catalogue::Part.new(**identity, kind: last == :pin ? :pendant : :connector, outer: widest,
            along: work_up.lengths.beaded + (thickness * eyes), hole: inner, wire: thickness, soldered: ends.none?(:simple),
            form: :tube, colour: (beads.first || wire).colour, mark: beads.first&.mark || 'l', quarter_turned: quarter_turned)
        end

        private

        def beads
          @beads ||= stack.expand
        end

        def ends
          [first, last]
        end

        def thickness
          last == :pin ? (pin.wire_thickness || wire.thickness) : wire.thickness
        end

        # @return [Catalogue::Line] what the beads are on: the wire, or the stem of the pin
        def stem
          return wire unless last == :pin

          @stem ||= Catalogue::Line.new(key: pin.key, name: pin.name, kind: :pin, thickness: thickness, material: pin.material)
        end

        # @return [Integer] rounds of the eye itself
        def rounds(kind)
          kind == :double_wrapped ? 2 : 1
        end

        def neck(kind)
          kind == :simple ? Measure::Length::ZERO : thickness * wraps
        end

        # @param place [Symbol] :first or :last
        def kind_at(place)
          place == :first ? first : last
        end

        # @return [Measure::Length] inside the eye there
        def inner_at(place)
          place == :last && inner_last ? inner_last : inner
        end

        # What an end adds above or below the beads: an eye its inside and the wire on the beads' side, a pin its head.
        def standing(place)
          kind_at(place) == :pin ? thickness : inner_at(place) + thickness + neck(kind_at(place))
        end

        # @return [Measure::Length] wire in one end, without what hands need
        def bent(place)
          kind = kind_at(place)
          return Measure::Length::ZERO if kind == :pin

          eye = Wire.eye(thickness, inner_at(place)) * rounds(kind)
          return eye if kind == :simple

          # Turns back over the first go round three wires (circles through the wire's middle).
          back = wrapped_way == :down_and_back ? thickness * (4 * Math::PI * wraps) : Measure::Length::ZERO
          eye + neck(kind) + Wire.wraps(thickness, wraps) + back
        end

        def held(kind, policy)
          case kind
          when :pin then Measure::Length::ZERO
          when :simple then Measure::Length.mm(1)
          else Wire.hold(policy, Wire.wraps(thickness, wraps))
          end
        end

        # @return [Measure::Length] of a pin's stem that beads and eye take, and what is left to hold
        def above_pin
          stack.fixed_length + bent(:first) + Measure::Length.mm(Wire::HOLD_MM.fetch(:lean))
        end

        def widest
          [tallest_across(beads), [inner, inner_last].compact.max + (thickness * 2)].compact.max
        end

        def tallest_across(parts)
          parts.map(&:outer).max
        end

        def eye_element(place)
          inside = inner_at(place)
          Making::ThreadedElement.new(along: standing(place), height: (inside / 2) + thickness, width: inside + (thickness * 2),
            profile: :pointed)
        end

        def work_up(_solution, maker)
          parts = tally(beads.map { |bead| [bead, :bead] })
          parts << count(pin, 1, :pin) if last == :pin
          joins = through(stem, beads) + cap_joins(beads, running(beads, standing(:first).to_mm))
          Making::WorkUp.new(parts: parts, cuts: cuts(maker), steps: steps(maker), joins: joins, drawing: Lazy.new { layout },
            lengths: Making::Lengths.new(beaded: fixed_length, working: working), ends: own_ends, anchors: Lazy.new { anchors })
        end

        def own_ends
          { first: wire_end(:first), last: (wire_end(:last) unless last == :pin) }.compact
        end

        def wire_end(place)
          Making::Attachment.new(item: eye(place), shut_with: :"#{place}_eye")
        end

        # An eye with wraps is closed for good; a simple one has a gap.
        def eye(place)
          kind_at(place) == :simple ? eye_part(place).with(soldered: false, material: wire.material) : eye_part(place)
        end

        # The eye, as what others hang in.
        def eye_part(place)
          @eye_part ||= {}
          across = inner_at(place) + (thickness * 2)
          @eye_part[place] ||= Catalogue::Part.new(key: "eye_#{wire.key}#{"_#{place}" if inner_last}", name: eye_name(place),
            kind: :connector, along: across, outer: across, hole: inner_at(place), wire: thickness, form: :ring, colour: wire.colour)
        end

        def largest
          [beads.select(&:bead?), beads].find(&:any?).max_by { |bead| bead.outer.to_mm }
        end

        # Two of different sizes are told apart.
        def eye_name(place)
          of = beads.empty? ? 'bare link' : "#{largest.short_name} link"
          return "eye of the #{of}" if inner_last.nil? || inner_last == inner

          other = place == :first ? inner_last : inner
          "#{inner_at(place) > other ? 'large' : 'small'} eye of the #{of}"
        end

        def anchors
          return [] if last == :pin

          half = inner_at(:last).to_mm / 2
          [Making::Anchor.new(item: eye(:last).with(quarter_turned: quarter_turned), x: fixed_length.to_mm - half,
            y: eye_part(:last).outer.to_mm / 2, reach: half, shut_with: :last_eye)]
        end

        def cuts(maker)
          return [] if last == :pin

          policy = maker.tails_on(wire)
          [Making::Cut.new(line: wire, count: 1, role: :link, body: stack.fixed_length, consumption: bent(:first) + bent(:last),
            tails: held(first, policy) + held(last, policy), measured_to: Wire::CUT_TO, batch: batch)]
        end

        def working
          [term(:eyes, standing(:first) + standing(:last)), (term(:fixed_beads, stack.fixed_length) if beads.any?)].compact
        end

        def layout
          start = standing(:first).to_mm
          at = running(beads, start)
          [line_shape(wire, fixed_length.to_mm - start, from: start / 2), eye_shape(:first, 0.0),
            *beads.each_with_index.map { |bead, i| part_shape(bead, :bead, at[i]) },
           last == :pin ? pin_shape : eye_shape(:last, fixed_length.to_mm - standing(:last).to_mm, turned: true)]
        end

        # The eye lies outside, its neck towards the beads; its outer wire lies beyond the length.
        def eye_shape(place, edge, turned: false)
          size = eye_part(place).along.to_mm
          half = inner_at(place).to_mm / 2
          middle = turned ? edge + standing(place).to_mm - half : edge + half
          Making::Shape.new(item: eye_part(place), role: :line, x: middle, y: 0.0, along: size, across: size, form: :ring,
            since: :"#{place}_eye")
        end

        def pin_shape
          across = pin.outer.to_mm
          Making::Shape.new(item: pin, role: :pin, x: fixed_length.to_mm - (thickness.to_mm / 2), y: 0.0, along: thickness.to_mm,
            across: across, form: :disc)
        end
      end
    end
  end
end
