# frozen_string_literal: true

module Web
  module Contracts
    # After how many months a class counts half in what is learnt; empty for never.
    class FadeContract < Contract
      texts :months

      MONTHS = Core::Logbook::Fading::MONTHS

      rule(:months) do
        good = value.empty? || (value.match?(WHOLE) && MONTHS.cover?(value.to_i))
        key.failure("Give whole months from #{MONTHS.begin} to #{MONTHS.end}, or leave it empty to count all classes alike.") unless good
      end
    end
  end
end
