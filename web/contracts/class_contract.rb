# frozen_string_literal: true

require 'date'
require 'dry/validation'

module Web
  module Contracts
    # What a class may be, as typed into a form.
    class ClassContract < Dry::Validation::Contract
      MINUTES = Core::Workshop::MINUTES
      SETS = (0..100).freeze
      YEARS = (2000..2100).freeze
      LONGEST_DATE = 20

      params do
        optional(:title).maybe(:string)
        optional(:date).maybe(:string)
        optional(:start).maybe(:string)
        optional(:minutes).maybe(:string)
        optional(:venue).maybe(:string)
        optional(:tool_sets).maybe(:string)
      end

      # A form sends what it shows: only that is judged.
      rule(:title) do
        next unless key?

        key.failure('Give the class a title, so that you find it again.') if value.to_s.strip.empty?
        key.failure('Shorten the title to 120 characters.') if value.to_s.length > 120
      end
      rule(:venue) { key.failure('Shorten the venue to 200 characters.') if key? && value.to_s.length > 200 }
      rule(:date) do
        next unless key?

        date = Date.iso8601(value.to_s[0, LONGEST_DATE])
        key.failure("Give a year from #{YEARS.begin} to #{YEARS.end}.") unless YEARS.cover?(date.year)
      rescue Date::Error
        key.failure('Give a date that exists, as year-month-day, such as 2026-12-03.')
      end
      rule(:start) { key.failure('Give the start as hours and minutes, such as 18:30.') if key? && !Core::Measure::ClockTime.parse(value) }
      rule(:minutes) do
        next unless key?

        key.failure("Give whole minutes from #{MINUTES.begin} to #{MINUTES.end}.") unless value.to_s.strip.match?(/\A\d{1,4}\z/) && MINUTES.cover?(value.to_i)
      end
      rule(:tool_sets) do
        next unless key?

        key.failure("Give a whole number of sets from #{SETS.begin} to #{SETS.end}.") unless value.to_s.strip.match?(/\A\d{1,3}\z/) && SETS.cover?(value.to_i)
      end
    end
  end
end
