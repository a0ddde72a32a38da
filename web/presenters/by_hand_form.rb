# frozen_string_literal: true

require 'securerandom'

module Web
  module Presenters
    # Writing down afterwards when who had finished, where nothing was tapped. What is not known stays empty.
    class ByHandForm < Form
      MARK = 'b4'

      # @param result [Application::ClassResult] @param params [Hash] finished: {attendee key => clock time}
      def initialize(result, params)
        @plan = result.plan
        known = @plan.people.map { |one| one.attendee.key }
        super({ 'finished' => beside(params['finished'], known) }, Contracts::ByHandContract.new(workshop: workshop))
      end

      # @return [Draft] by attendee
      def draft
        Draft.new(values: value(:finished), errors: errors)
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
        value(:finished).filter_map do |key, text|
          minute = Contracts::ByHandContract.minute(text, workshop)
          [key, minute] if minute
        end
      end
    end
  end
end
