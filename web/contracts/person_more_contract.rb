# frozen_string_literal: true

module Web
  module Contracts
    # What is set less often about an attendee. times, last: by technique, how often and when it was last done.
    class PersonMoreContract < Contract
      params do
        optional(:ease).value(:string)
        optional(:times).value(:hash)
        optional(:last).value(:hash)
      end

      TIMES = Core::People::Experience::TIMES

      rule(:ease).validate(:own_ease)
      rule(:times) do
        wrong = value.reject { |_, text| text.empty? || (text.match?(WHOLE) && TIMES.cover?(text.to_i)) }
        wrong.each_key { |technique| key(:"times_#{technique}").failure("Give how often, a whole number up to #{TIMES.end}.") }
      end
      rule(:last) do
        wrong = value.reject { |_, text| text.empty? || TypedField.date(text) }
        wrong.each_key { |technique| key(:"last_#{technique}").failure('Give a date that exists, as year-month-day.') }
      end
    end
  end
end
