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
        @losses = lessons.losses
        @unit = unit
      end

      attr_reader :rows, :losses

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
        rows.any? { |row| news_of?(row) } || losses.any? { |row| loss_news?(row) }
      end

      def loss_news?(row)
        row.learnt != row.now
      end

      # @return [String]
      def whole(number)
        number.round.to_s
      end

      # @return [String] "4.8 of 100"
      def share(part)
        "#{format('%.1f', part * 100)} of 100"
      end

      def kind_name(row)
        say("kinds.#{row.kind}")
      end

      def news_of?(row)
        row.learnt != row.skill.seconds
      end
    end
  end
end
