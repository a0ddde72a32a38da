# frozen_string_literal: true

module Core
  module Session
    # Quantiles of what was simulated.
    module Quantile
      module_function

      # @param sorted [Array<Numeric>] not empty @param share [Float] 0..1 @return [Numeric] the one nearest to that place
      def of(sorted, share)
        sorted[((sorted.size - 1) * share).round]
      end
    end
  end
end
