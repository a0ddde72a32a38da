# frozen_string_literal: true

module Core
  module Measure
    # A time of day in whole minutes since midnight, 0...1440. Adding minutes past midnight rolls over.
    class ClockTime
      include Comparable

      MINUTES_A_DAY = 1440

      attr_reader :minutes

      # @return [ClockTime, nil] nil when the text is not HH:MM (or H.MM) on a 24-hour clock
      def self.parse(text)
        match = /\A\s*(\d{1,2})[:.h](\d{2})\s*\z/.match(text.to_s) or return
        hour, minute = match.captures.map(&:to_i)
        new((hour * 60) + minute) if hour < 24 && minute < 60
      end

      def initialize(minutes)
        @minutes = minutes % MINUTES_A_DAY
        freeze
      end

      # @param span_minutes [Numeric] rounded up to the whole minute: a class has not ended before its last second
      def +(other)
        ClockTime.new(minutes + other.ceil)
      end

      def <=>(other)
        other.is_a?(ClockTime) ? minutes <=> other.minutes : nil
      end

      def eql?(other)
        other.is_a?(ClockTime) && minutes == other.minutes
      end

      def hash
        minutes.hash
      end

      def to_s
        format('%<h>02d:%<m>02d', h: minutes / 60, m: minutes % 60)
      end
    end
  end
end
