# frozen_string_literal: true

module Core
  module Making
    # A length of line for a named use: length = body + slack + consumption + tails, for each of count cuts.
    #
    # @param measured_to what it is rounded up to; nobody measures stringing closer than 5 mm, formed wire is cut to half a millimetre
    # @param pieces worked off one such length, one after the other
    # @param batch off so long a piece each is worked after the other, nil where each is cut by itself
    # @param from_reel never cut before it is worked: cut at the end, with both tails
    # @param worked [Worked, nil] how it is used up, nil for what is not worked little by little
    # @param slack line that stays bare between the beads so that the piece can bend
    Cut = Value.define(:line, :count, :role, :body, :consumption, :tails, slack: Measure::Length::ZERO,
      measured_to: Measure::Length.mm(5), batch: nil, pieces: 1, from_reel: false, worked: nil) do
      def length
        body + slack + consumption + tails
      end

      # @return [Measure::Length] as cut: rounded up to what can be measured, never short
      def measured
        measured_to * (length / measured_to).ceil
      end

      # @param along what the component takes on the path @return [Measure::Length] of line beyond that: under beads that lie aside, or on
      #   its way back
      def roundabout(along)
        [body - along, Measure::Length::ZERO].max
      end

      # @param factor [Float] @param along see #roundabout @return [Cut] whose knots, turns and ways round take so many times as much
      def taking(factor, along:)
        round = roundabout(along)
        with(consumption: ((consumption + round) * factor) - round)
      end

      # The reel itself is held, so that one of two tails is saved.
      # @return [Cut] worked off the reel
      def off_reel
        from_reel ? self : with(tails: tails / 2)
      end

      # What hands hold is left to the last.
      # @param done [Integer] units @return [Measure::Length] of each end that is worked with, at the least, in whole millimetres
      def left_after(done)
        least = (tails / 2) + ((body + slack + consumption) * (1 - Rational(done, worked.number)) / worked.ends)
        Measure::Length.mm(least.to_mm.ceil)
      end

      # What hands need is left once in a batch. @param number [Integer] @return [Array<Cut>] for so many
      def times(number)
        return [with(count: count * number)] if batch.nil?

        each = [((batch - tails) / (body + consumption)).floor, 1].max
        whole, rest = (count * number).divmod(each)
        [[whole, each], [1, rest]].reject { |batches, pieces| batches.zero? || pieces.zero? }.map { |batches, pieces|
          with(count: batches, body: body * pieces, consumption: consumption * pieces, pieces: pieces)
        }
      end

      # @return [Measure::Length] against cutting each piece by itself
      def saved
        tails * (pieces - 1) * count
      end
    end
  end
end
