# frozen_string_literal: true

module Web
  module Contracts
    # When who had finished, written down afterwards. finished: by attendee, the time by the clock, or nothing.
    class ByHandContract < Contract
      params { required(:finished).value(:hash) }

      option :workshop

      # A class that ran over by more was something else.
      MOST_MINUTES_OVER = 240

      rule(:finished) do
        wrong = value.select { |_, text| !text.strip.empty? && ByHandContract.minute(text, workshop).nil? }
        what = "Write the time by the clock, such as #{workshop.ends}, or leave it empty."
        wrong.each_key { |attendee| key(attendee.to_sym).failure(what) }
      end

      # @return [Integer, nil] minutes after the start; nil for what is no time of that evening
      def self.minute(text, workshop)
        time = Core::Measure::ClockTime.parse(text.strip) or return
        minute = (time.minutes - workshop.start.minutes) % (24 * 60)
        minute if minute <= workshop.minutes + MOST_MINUTES_OVER
      end
    end
  end
end
