# frozen_string_literal: true

module Web
  module Contracts
    # What may be kept about what someone needs.
    class NeedsContract < Contract
      texts :age, :guardian, :other_allergy

      AGES = Core::People::Needs::AGES

      rule(:age) do
        good = !key? || value.empty? || (value.match?(WHOLE) && AGES.cover?(value.to_i))
        key.failure("Give the age in whole years, from #{AGES.begin} to #{AGES.end}, or leave it empty.") unless good
      end
      rule(:guardian).validate(at_most: 120)
      rule(:other_allergy).validate(at_most: 300)
    end
  end
end
