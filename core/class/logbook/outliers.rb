# frozen_string_literal: true

module Core
  module Logbook
    # Values far from the middle of their kind: someone was called away, or a tap was forgotten.
    module Outliers
      # A value further from the middle than so many spreads counts as being that far.
      OUTLYING = 2.5

      module_function

      # @param values [Array<Float>] @param spreads [Array<Float>] that are usual for each @return [Array<Float>]
      def pulled_in(values, spreads)
        middle = Session::Quantile.of(values.sort, 0.5)
        values.zip(spreads).map { |value, spread| value.clamp(middle - (OUTLYING * spread), middle + (OUTLYING * spread)) }
      end
    end
  end
end
