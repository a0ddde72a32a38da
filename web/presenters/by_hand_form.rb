# frozen_string_literal: true

require 'securerandom'

module Web
  module Presenters
    # Writing down afterwards when who had finished, where nothing was tapped. What is not known stays empty.
    class ByHandForm
      MARK = 'b4'

      # @param result [Application::ClassResult] @param params [Hash] finished: {attendee key => clock time}
      def initialize(result, params)
        @plan = result.plan
        @given = params['finished'].is_a?(Hash) ? params['finished'].select { |_, text| text.is_a?(String) } : {}
      end

      def valid?
        errors.empty?
      end

      def draft
        Draft.new(values: @given.transform_values { |text| text[0, 20] }, errors: errors)
      end

      # @param before [Array<Core::Live::Event>] @return [Array<Core::Live::Event>] what was written down before is taken back first
      def events(before)
        old = before.select { |event| event.key.start_with?(MARK) && event.kind != :undo }.map(&:key) - before.map(&:undoes)
        finishes = times.sort_by(&:last)
        last = finishes.map(&:last).max || workshop.minutes
        [*old.map { |key| event(:undo, 0, undoes: key) }, event(:start, 0),
          *finishes.map { |key, minute| event(:finished, minute, person: key) },
         event(:end, [last, workshop.minutes].max)]
      end

      private

      def workshop
        @plan.workshop
      end

      def event(kind, minute, **rest)
        day = Time.local(workshop.date.year, workshop.date.month, workshop.date.day)
        at = day.to_i + ((workshop.start.minutes + minute) * 60)
        Core::Live::Event.new(key: MARK + SecureRandom.hex(11), kind: kind, at: at, **rest)
      end

      # @return [Array<(String, Integer)>] attendee key and minutes after the start
      def times
        known = @plan.people.map { |one| one.attendee.key }
        @given.filter_map { |key, text|
          minute = minute_of(text) if known.include?(key) && !text.strip.empty?
          [key, minute] if minute
        }
      end

      def minute_of(text)
        time = Core::Measure::ClockTime.parse(text.strip) or return
        minute = (time.minutes - workshop.start.minutes) % (24 * 60)
        minute if minute <= workshop.minutes + MOST_OVER
      end

      # A class that ran over by more was something else.
      MOST_OVER = 240

      def errors
        @errors ||= @given.select { |_, text| !text.strip.empty? && minute_of(text).nil? }.to_h { |key, _|
          [key.to_sym, "Write the time by the clock, such as #{workshop.ends}, or leave it empty."]
        }
      end
    end
  end
end
