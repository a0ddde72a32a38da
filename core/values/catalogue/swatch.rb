# frozen_string_literal: true

module Core
  module Catalogue
    # What someone measured on a piece of their own, in place of geometry or memory.
    #
    # @param construction its key
    # @param measure one of those that it declares
    # @param line key
    # @param about what else it was measured with, a part's key or a kind of knot
    # @param value in the measure's unit
    Swatch = Value.define(:construction, :measure, :line, :about, :value) do
      # @return [Boolean] whether it is the same measure of the same thing
      def same?(other)
        [construction, measure, line, about] == [other.construction, other.measure, other.line, other.about]
      end
    end

    class Swatch
      # @param swatches [Array<Swatch>] @return [Array<Swatch>] with this in the place of one of the same thing
      def among(swatches)
        [*swatches.reject { |other| same?(other) }, self]
      end
    end
  end
end
