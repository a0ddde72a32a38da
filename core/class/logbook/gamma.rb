# frozen_string_literal: true

module Core
  module Logbook
    # The gamma distribution with scale 1.
    module Gamma
      module_function

      # @param shape [Float] @param normal [Float] the same quantile of the normal distribution
      # @return [Float] about its quantile (Wilson and Hilferty, Proceedings of the National Academy of Sciences 17, 1931)
      def quantile(shape, normal)
        part = 1 / (9.0 * shape)
        shape * ([1 - part + (normal * Math.sqrt(part)), 0.0].max**3)
      end
    end
  end
end
