# frozen_string_literal: true

module Core
  module Setup
    # What the instructor notes of a class that was held.
    #
    # @param taken money taken in minor units, nil where it is not known
    # @param remark for the next time
    # @param teaches whether plans may learn from it
    # @param ended Measure::ClockTime at which the last had finished, unfinished: how many had not, nil where that is not known
    Note = Value.define(taken: nil, remark: '', teaches: true, ended: nil, unfinished: nil) do
      # @param workshop [Workshop] @return [Boolean, nil] whether all finished in time; nil where nobody wrote it down
      def in_time?(workshop)
        return false if unfinished&.positive?
        return !unfinished.nil? || nil if ended.nil?

        (ended.minutes - workshop.start.minutes) % Measure::ClockTime::MINUTES_A_DAY <= workshop.minutes
      end
    end
  end
end
