# frozen_string_literal: true

module Web
  module Presenters
    # One attendee's row.
    class PersonForm < Form
      FIELDS = %i[name measure body level notes colourway].freeze

      def initialize(params)
        body = Core::People::Measures::BOUNDS.keys.find { |known| known.to_s == params['body'] } || :wrist
        @measured = params.key?('measure')
        @coloured = params.key?('colourway')
        super(typed(params, FIELDS).merge('body' => body.to_s), Contracts::PersonContract.new)
      end

      # @return [Core::People::Attendee] a new one; what a class must know of them is suggested from the notes and shown beside them
      def attendee
        apply(Core::People::Attendee.new(key: '0', name: '', level: 1, needs: Core::People::NeedsReader.read(value(:notes))))
      end

      # @return [Core::People::Attendee] with what was typed; what the form does not show stays
      def apply(attendee)
        changed = attendee.with(name: value(:name), level: value(:level).to_i, notes: value(:notes), measures: measures(attendee))
        @coloured ? changed.with(colourway: value(:colourway).empty? ? nil : value(:colourway)) : changed
      end

      def full
        Draft.new(values: values,
          errors: { name: "A class holds at most #{Core::Setup::Workshop::MOST_PEOPLE} people. Make a second class." })
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
