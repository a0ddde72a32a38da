# frozen_string_literal: true

module Core
  module Steps
    # A session by the plain sum of everyone's own times. rows: {attendee key => [Segment]}, each row without gaps from minute 0
    Timetable = Value.define(:rows, :available_minutes) do
      # @return [Float] minutes until the last attendee has cleared up; zero for an empty class
      def needed_minutes
        rows.values.map { |segments| segments.last.to }.max || 0.0
      end

      def spare_minutes
        available_minutes - needed_minutes
      end

      # @return [String, nil] key of the attendee who finishes last
      def last_attendee
        rows.max_by { |_, segments| segments.last.to }&.first
      end
    end
  end
end
