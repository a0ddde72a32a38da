# frozen_string_literal: true

module Web
  module Contracts
    # How much of a line is left on the way.
    class ReachContract < Contract
      texts :person, :line, :done, :left

      # Units in all.
      option :number

      rule(:done) do
        next if value.match?(WHOLE) && value.to_i.between?(1, number - 1)

        key.failure("Give how many are done, from 1 to #{number - 1}.")
      end
      rule(:left).validate(length: [1..20_000, 'Give a length, such as 310 mm or 12 in.'])
    end
  end
end
