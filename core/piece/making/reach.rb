# frozen_string_literal: true

module Core
  module Making
    # Whether what is left of a line that is used up little by little reaches to the end, at the length that each unit took so far.
    #
    # @param cut [Cut] with Worked
    # @param done [Integer] units, at least one
    # @param left [Measure::Length] of each end that is worked with
    Reach = Value.define(:cut, :done, :left)

    class Reach
      # @return [Integer] units still to do
      def to_do
        cut.worked.number - done
      end

      # @return [Boolean] whether no more is left than was cut
      def possible?
        done.between?(1, cut.worked.number) && left < start
      end

      # @return [Measure::Length] of each end, before the first unit
      def start
        cut.worked.ends > 1 ? cut.measured / cut.worked.ends : cut.measured - (cut.tails / 2)
      end

      # @return [Measure::Length] that each unit took of each end so far
      def used
        (start - left) / done
      end

      # @return [Measure::Length] that each unit is planned to take of each end
      def planned
        (cut.body + cut.slack + cut.consumption) / (cut.worked.number * cut.worked.ends)
      end

      # What hands hold is left to the last.
      # @return [Measure::Length] of each end that must be left to reach
      def needed
        (cut.tails / 2) + (used * to_do)
      end

      def reaches?
        left >= needed
      end

      # @return [Integer] units that can still be made
      def more
        [((left - (cut.tails / 2)) / used).floor, 0].max
      end

      # @return [Measure::Length] of each end that stays over, or is missing
      def difference
        reaches? ? left - needed : needed - left
      end
    end
  end
end
