# frozen_string_literal: true

module Web
  module Contracts
    # The size at which people are planned who were not measured.
    class AssumedSizeContract < Contract
      texts :assumed_size

      option :body

      rule(:assumed_size) do
        next if value.empty? || body == :own

        problem = Formats::MeasureText.read(value, body).problem
        key.failure(Formats::Wording.say("imports.#{problem.first}", **problem.last)) if problem
      end
    end
  end
end
