# frozen_string_literal: true

module Core
  module Measure
    # What lengths of necklaces are called (common practice, no source). Between two names there is none.
    module Necklaces
      NAMES = { collar: 300..360, choker: 360..410, princess: 430..480, matinee: 500..610, opera: 710..910 }.freeze

      module_function

      # @param inside [Length] @return [Symbol, nil]
      def name(inside)
        NAMES.find { |_, millimetres| millimetres.cover?(inside.to_mm) }&.first
      end
    end
  end
end
