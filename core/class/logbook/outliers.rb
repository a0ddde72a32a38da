# frozen_string_literal: true

module Core
  module Logbook
    # Values far from the middle of their kind: someone was called away, or a tap was forgotten.
    module Outliers
      # A value further from the middle than so many spreads counts as being that far.
      OUTLYING = 2.5

      module_function

      # @param values [Array<Float>] @param spread [Float] that is usual @return [Array<Float>]
      def pulled_in(values, spread)
        middle = Session::Quantile.of(values.sort, 0.5)
        most = OUTLYING * spread
        values.map { |value| value.clamp(middle - most, middle + most) }
      end
    end
  end
end
