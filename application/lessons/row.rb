# frozen_string_literal: true

module Application
  class Lessons
    # One value that classes teach about.
    #
    # @param about "time/stringing"
    # @param subject the technique, kind of part or name of the setting
    # @param lesson Core::Logbook::LearnedValue
    # @param before from memory
    # @param learnt what classes taught
    # @param low see learnt
    # @param high see learnt
    # @param now planned with
    # @param used whether now comes from classes
    # @param fixed whether it is to stay as it is
    Row = Core::Value.define(:about, :subject, :lesson, :before, :learnt, :low, :high, :now, :used, :fixed) do
      # @return [Boolean] whether using it would change anything, and may
      def news?
        !fixed && learnt != now
      end
    end
  end
end
