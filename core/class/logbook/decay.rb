# frozen_string_literal: true

module Core
  module Logbook
    # How much classes count that were held some time ago. half_months: after so many months half as much; nil: always the same
    Decay = Value.define(:today, half_months: nil) do
      # @param date [Date] @return [Float] from 0 to 1
      def weight(date)
        return 1.0 if half_months.nil?

        months = [(today - date).to_i, 0].max / Decay::DAYS
        0.5**(months / half_months)
      end
    end

    class Decay
      # In a month, on average.
      DAYS = 30.44
      MONTHS = (1..120).freeze
    end
  end
end
