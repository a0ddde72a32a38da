# frozen_string_literal: true

module Core
  module Catalogue
    # What a studio works with: frozen tables of parts, lines, tools and techniques by key.
    # swaps: a colourway's substitutions {part key => part key}, followed once.
    Table = Value.define(:parts, :lines, :tools, :techniques, swaps: {}.freeze) do
      def part(key)
        parts.fetch(swaps.fetch(key, key)) { raise UnknownKey.new(:part, key, parts.keys) }
      end

      def line(key)
        lines.fetch(swaps.fetch(key, key)) { raise UnknownKey.new(:line, key, lines.keys) }
      end

      def tool(key)
        tools.fetch(key) { raise UnknownKey.new(:tool, key, tools.keys) }
      end

      def technique(key)
        techniques.fetch(key) { raise UnknownKey.new(:technique, key, techniques.keys) }
      end

      # @return [Table] the same tables read through a colourway
      def in_colourway(substitutions)
        substitutions.empty? ? self : with(swaps: substitutions.freeze)
      end
    end
  end
end
