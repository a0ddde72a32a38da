# frozen_string_literal: true

module Web
  module Contracts
    # What is noted of a class that was held.
    class NoteContract < Contract
      texts :taken, :remark

      option :currency

      LONGEST = 2000
      rule(:taken) do
        next if !key? || value.empty?

        good = (0..LARGEST_AMOUNT_MINOR).cover?(Core::Money.parse(value, currency)&.minor || -1)
        key.failure('Give an amount such as 240.00, not below zero, or leave it empty where you do not know.') unless good
      end
      rule(:remark).validate(at_most: LONGEST)
    end
  end
end
