# frozen_string_literal: true

module Core
  module Catalogue
    # Weighs what pieces are made of, each part once: pieces of one design are made of the same parts.
    class Scales
      def initialize
        @milligrams = Hash.new { |known, part| known[part] = Mass.milligrams(part) }.compare_by_identity
      end

      # @param uses [Array<#part, #count>] @return [Array<Part>] those whose weight is not known, each once
      def unknown(uses)
        uses.filter_map { |use| use.part unless @milligrams[use.part] }.uniq
      end

      # @param uses [Array<#part, #count>] of known weight @return [Float]
      def grams(uses)
        uses.sum { |use| @milligrams[use.part] * use.count } / 1000
      end
    end
  end
end
