# frozen_string_literal: true

module Web
  module Contracts
    # After how many months held classes lose their names; empty for never.
    class RetentionContract < Contract
      texts :months

      MONTHS = Application::Retention::MONTHS

      rule(:months) do
        good = value.empty? || (value.match?(WHOLE) && MONTHS.cover?(value.to_i))
        key.failure("Give whole months from #{MONTHS.begin} to #{MONTHS.end}, or leave it empty to keep the names.") unless good
      end
    end
  end
end
