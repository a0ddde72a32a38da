# frozen_string_literal: true

module Web
  module Contracts
    # Whole months, or nothing. range: of them · empty: what leaving it empty does
    class MonthsContract < Contract
      texts :months

      option :range
      option :empty

      # @return [MonthsContract] after how many months a class counts half in what is learnt
      def self.of_fading
        new(range: Core::Logbook::Decay::MONTHS, empty: 'count all classes alike')
      end

      # @return [MonthsContract] after how many months held classes lose their names
      def self.of_names
        new(range: Application::Retention::MONTHS, empty: 'keep the names')
      end

      rule(:months) do
        good = value.empty? || (value.match?(WHOLE) && range.cover?(value.to_i))
        key.failure("Give whole months from #{range.begin} to #{range.end}, or leave it empty to #{empty}.") unless good
      end
    end
  end
end
