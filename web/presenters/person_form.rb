# frozen_string_literal: true

module Web
  module Presenters
    # One attendee's row.
    class PersonForm < Form
      FIELDS = %i[name measure body level mind colourway].freeze

      def initialize(params)
        body = Core::People::Measures::BOUNDS.keys.find { |known| known.to_s == params['body'] } || :wrist
        @measured = params.key?('measure')
        super(params.to_h.merge('body' => body.to_s), FIELDS, Contracts::PersonContract.new)
      end

      # @return [Core::People::Attendee] a new one
      def attendee
        apply(Core::People::Attendee.new(key: '0', name: '', level: 1))
      end

      # @return [Core::People::Attendee] with what was typed; measures of other parts of the body stay
      def apply(attendee)
        attendee.with(name: value(:name), level: value(:level).to_i, mind: value(:mind), measures: measures(attendee),
                      colourway: value(:colourway).empty? ? nil : value(:colourway))
      end

      def full
        Draft.new(values: values, errors: { name: "A class holds at most #{Core::Workshop::MOST_PEOPLE} people. Make a second class." })
      end

      private

      def measures(attendee)
        body = value(:body).to_sym
        return attendee.measures unless @measured
        return attendee.measures.except(body) if value(:measure).empty?

        # What was shown rounded and not touched stays exact.
        now = attendee.measures[body]
        return attendee.measures if now && Formats::LengthPrint.printed?(value(:measure), now)

        attendee.measures.merge(body => Formats::MeasureText.read(value(:measure), body).length)
      end
    end
  end
end
