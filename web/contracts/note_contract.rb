# frozen_string_literal: true

module Web
  module Contracts
    # What is noted of a class that was held.
    class NoteContract < Contract
      texts :taken, :remark, :ended, :unfinished

      option :currency

      LONGEST = 2000
      rule(:taken) do
        next if !key? || value.empty?

        good = (0..LARGEST_AMOUNT_MINOR).cover?(Core::Money.parse(value, currency)&.minor || -1)
        key.failure('Give an amount such as 240.00, not below zero, or leave it empty where you do not know.') unless good
      end
      rule(:ended) do
        next if !key? || value.empty? || Core::Measure::ClockTime.parse(value)

        key.failure('Give the time by the clock, such as 20:30, or leave it empty.')
      end
      rule(:unfinished) do
        next if !key? || value.empty?

        most = Core::Setup::Workshop::MOST_PEOPLE
        good = value.match?(WHOLE) && value.to_i <= most
        key.failure("Give a whole number from 0 to #{most}, or leave it empty.") unless good
      end
      rule(:remark).validate(at_most: LONGEST)
    end
  end
end
