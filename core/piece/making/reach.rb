# frozen_string_literal: true

module Core
  module Making
    # Whether what is left of a line that is used up little by little reaches to the end, at the length that each unit took so far.
    #
    # @param start Measure::Length of each end that is worked with, before the first unit
    # @param left Measure::Length of it now
    # @param done units made so far
    # @param number units in all
    # @param held Measure::Length that hands hold to the last
    # @param planned Measure::Length that each unit is planned to take, nil where nothing is planned
    Reach = Value.define(:start, :left, :done, :number, :held, planned: nil) do
      # @return [Integer] units still to do
      def to_do
        number - done
      end

      # @return [Boolean] whether no more is left than there was
      def possible?
        done.between?(1, number) && left < start
      end

      # @return [Symbol] :fits, :will_not, or :unknown where more is left than there was
      def status
        return :unknown unless possible?

        reaches? ? :fits : :will_not
      end

      # @return [Measure::Length] that each unit took so far
      def used
        (start - left) / done
      end

      # @return [Measure::Length] that must be left to reach
      def needed
        held + (used * to_do)
      end

      def reaches?
        left >= needed
      end

      # @return [Integer] units that can still be made
      def more
        [((left - held) / used).floor, 0].max
      end

      # @return [Measure::Length] that stays over, or is missing
      def difference
        reaches? ? left - needed : needed - left
      end
    end

    class Reach
      # @param cut [Cut] with Worked @param done [Integer] units @param left [Measure::Length] of each end @return [Reach]
      def self.of(cut, done, left)
        ends = cut.worked.ends
        new(start: ends > 1 ? cut.measured / ends : cut.measured - (cut.tails / 2), left: left, done: done, number: cut.worked.number,
          held: cut.tails / 2, planned: (cut.body + cut.slack + cut.consumption) / (cut.worked.number * ends))
      end
    end
  end
end
