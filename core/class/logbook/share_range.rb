# frozen_string_literal: true

module Core
  module Logbook
    # Where a share that was seen in some of a number lies with a chance of 8 in 10.
    module ShareRange
      module_function

      # E. B. Wilson, Journal of the American Statistical Association 22, 1927.
      # @param seen [Integer] @param number [Integer] above zero @return [(Float, Float)]
      def of(seen, number)
        square = LearnedValue::REACH**2
        middle = (seen + (square / 2)) / (number + square)
        reach = LearnedValue::REACH * Math.sqrt((seen * (number - seen).fdiv(number)) + (square / 4)) / (number + square)
        [middle - reach, middle + reach].map { |share| share.clamp(0.0, 1.0) }
      end
    end
  end
end
