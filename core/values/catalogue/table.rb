# frozen_string_literal: true

module Core
  module Catalogue
    # What a studio works with: frozen tables of parts, lines, tools and techniques by key.
    #
    # @param swatches [Swatch] that makers measured
    # @param swaps a colourway's substitutions {part key => part key}, followed once
    # @param hidden [(table, key)] of what is offered for nothing new
    # @param alloys what metals contain
    Table = Value.define(:parts, :lines, :tools, :techniques, swaps: {}.freeze, hidden: [].freeze, swatches: [].freeze,
      alloys: Alloys.new) do
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

      # @param name [Symbol] of one of the tables @return [Array] what of it is offered
      def offered(name)
        public_send(name).values.reject { |item| hidden?(name, item.key) }
      end

      # @return [Boolean]
      def hidden?(name, key)
        hidden.include?([name, key])
      end

      # @param chosen [Array<String>] "technique/tool" of the tools that stand in @return [Table] with those techniques worked so
      def standing_in(chosen)
        worked = chosen.reduce(techniques) do |all, key|
          technique, tool = key.split('/', 2)
          all.key?(technique) && tools.key?(tool) ? all.merge(technique => all[technique].with_stand_in(tool)) : all
        end
        worked.equal?(techniques) ? self : with(techniques: worked.freeze)
      end

      # @param own [Array<Swatch>] someone's @return [Table] in which theirs come before all others
      def measured_by(own)
        own.empty? ? self : with(swatches: [*own, *swatches].freeze)
      end

      # @param size [Float] @param weight [Float] factors @return [Table] whose beads are so much longer, wider and heavier, as a lot may be
      def with_beads(size:, weight:)
        return self if (size - 1).zero? && (weight - 1).zero?

        with(parts: parts.transform_values { |part| part.bead? ? part.of_lot(size: size, weight: weight) : part }.freeze)
      end

      # @param pace [Float] @return [Table] whose techniques take so many times as long
      def paced(pace)
        return self if (pace - 1).zero?

        with(techniques: techniques.transform_values { |technique| technique.with(seconds: technique.seconds * pace) }.freeze)
      end

      # @return [Table] the same tables read through a colourway
      def in_colourway(substitutions)
        substitutions.empty? ? self : with(swaps: substitutions.freeze)
      end
    end
  end
end
