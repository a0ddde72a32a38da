# frozen_string_literal: true

module Web
  module Presenters
    module Sections
      # The clock as a ribbon: what each person does when, in the simulated class whose end lies in the middle; nothing before there is a
      # forecast.
      class Ribbon
        def initialize(reading, unit)
          @reading = reading
          @unit = unit
        end

        # @param keys [Array<String>, nil] of the people shown; nil for all
        # @return [String, nil] SVG
        def drawing(keys = nil)
          forecast = @reading.forecast or return
          plan = @reading.plan
          people = plan.people.select { |person|
            forecast.finishes.key?(person.attendee.key) && (keys.nil? || keys.include?(person.attendee.key))
          }
          return if people.empty?

          Formats::RibbonSvg.new(people.map { |person|
            row(person.attendee, forecast)
          }, start: plan.workshop.start, available: plan.workshop.minutes,
            title: 'When each person works, watches, waits and clears up').to_s
        end

        private

        def row(attendee, forecast)
          key = attendee.key
          wait = forecast.long_wait
          said = LongWaitWords.new(wait, @reading.plan, forecast).over if wait&.whom == key
          Formats::RibbonSvg::Row.new(said: said, key: key, name: attendee.name, segments: forecast.typical.rows.fetch(key),
            chosen: key == @reading.seat,
            range: [forecast.finish_at(key, 0.1), forecast.finish_at(key, 0.9)])
        end
      end
    end
  end
end
