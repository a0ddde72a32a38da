# frozen_string_literal: true

module Core
  module Construction
    # How much wire bent work takes. Lengths are of the wire's middle, which bending neither stretches nor shortens.
    module Wire
      # What is held beyond the wraps of a loop (common practice, no source: an eye with three wraps in 0.81 mm comes to about 38 mm).
      HOLD_MM = { lean: 8, usual: 10, generous: 15 }.freeze
      # A wrapped loop needs this much beyond its eye however few its wraps are (common practice, no source: 25 to 30).
      LEAST_MM = { lean: 22, usual: 25, generous: 30 }.freeze
      # Formed wire is cut to half a millimetre.
      CUT_TO = Measure::Length.mm(0.5)

      module_function

      # A round eye: the circle through the wire's middle (plane geometry).
      # @param wire [Measure::Length] thickness @param inner [Measure::Length] inside the eye
      def eye(wire, inner)
        (inner + wire) * Math::PI
      end

      # Wraps of a wire round a single stem of the same wire: circles through its middle, twice as wide as the wire.
      def wraps(wire, number)
        wire * (2 * Math::PI * number)
      end

      # Turns round something: the helix s = n·√((π·D)² + p²).
      # @param across [Measure::Length] through the wire's middle @param pitch [Measure::Length] from turn to turn
      def helix(turns, across, pitch)
        Measure::Length.mm(turns * Math.hypot(Math::PI * across.to_mm, pitch.to_mm))
      end

      # Once round two things side by side, through the middle of the wire that goes round (plane geometry: a stadium).
      # @param each [Measure::Length] thickness of each of the two @param wire [Measure::Length] what goes round
      def round_two(each, wire)
        ((each + wire) * Math::PI) + (each * 2)
      end

      # What hands need at a wrapped loop, the wraps themselves left out.
      def hold(policy, wrapped)
        [Measure::Length.mm(HOLD_MM.fetch(policy)), Measure::Length.mm(LEAST_MM.fetch(policy)) - wrapped].max
      end
    end
  end
end
