# frozen_string_literal: true

module Web
  module Presenters
    # What held classes taught, in words.
    class Lessons
      include Printing

      attr_reader :unit

      # @param lessons [Application::Lessons]
      def initialize(lessons, unit)
        @state = lessons.state
        @rows = lessons.rows
        @unit = unit
      end

      attr_reader :rows

      def running?
        @state.running?
      end

      def failed?
        !@state.error.nil?
      end

      def percent
        @state.percent
      end

      # @return [String] "6.1 s"
      def seconds(number)
        "#{format('%g', number)} s"
      end

      # @return [Boolean] whether any time would change
      def news?
        rows.any? { |row| news_of?(row) }
      end

      def news_of?(row)
        row.learnt != row.skill.seconds
      end
    end
  end
end
