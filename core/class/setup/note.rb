# frozen_string_literal: true

module Core
  module Setup
    # What the instructor notes of a class that was held.
    Note = Fields.define do
      field :ended, :clock, shown: :note, says: 'when the last had finished, left out where it is not known'
      field :unfinished, :whole, within: 0..60, shown: :note, says: 'how many had not finished, left out where it is not known'
      field :taken, :amount, within: 0..Money::MOST_MINOR, shown: :note, says: 'money taken, left out where it is not known'
      field :remark, :text, most: 2000, default: '', says: 'what to remember next time'
      field :teaches, :yes, default: true, says: 'whether plans may learn from it'
    end

    class Note
      # @param workshop [Workshop] @return [Boolean, nil] whether all finished in time; nil where nobody wrote it down
      def in_time?(workshop)
        return false if unfinished&.positive?
        return !unfinished.nil? || nil if ended.nil?

        (ended.minutes - workshop.start.minutes) % Measure::ClockTime::MINUTES_A_DAY <= workshop.minutes
      end
    end
  end
end
