# frozen_string_literal: true

module Web
  module Contracts
    # How one class may run.
    class SessionContract < Contract
      judges Core::Setup::SessionSettings

      option :currency
      option :class_minutes

      rule(:break_at) do
        late = key? && value.match?(WHOLE) && value.to_i >= class_minutes
        key.failure("The class lasts #{class_minutes} minutes. Give a break before its end, or 0 for none.") if late
      end
    end
  end
end
