# frozen_string_literal: true

module Core
  module Fit
    # What rules of one join share. A rule answers the kinds of join it judges and judges one.
    class Rule
      CLEARANCE = Passage::CLEARANCE
      NONE = [].freeze
      NOTHING = {}.freeze
      # The measures of parts and lines that rules may ask for.
      MEASURES = %i[hole wire faces_with material rated_load_grams holds_grams].freeze

      extend ClassAttribute

      declares :key
      declares :rank

      class << self
        # @return [Boolean] whether it judges whole pieces; the others judge joins, or people
        def judges_pieces?
          method_defined?(:on)
        end

        def judges(*kinds)
          kinds.any? ? @kinds = kinds : @kinds
        end
      end

      # @param table [Catalogue::Table] where cures may come from
      # @param open_rings [Symbol] :warn or :forbid
      def initialize(table, open_rings: :warn)
        @table = table
        @open_rings = open_rings
      end

      # @param join [Making::Join] @return [Result]
      def call(join)
        raise ArgumentError, "#{self.class.key} does not judge #{join.kind}"
      end

      private

      # Its fields are named, since a rule is asked of every piece: handed on as they come, they would be packed and unpacked.
      # @return [Result]
      def found(join, status, code, margin: nil, values: NOTHING, cures: NONE, missing: NONE, defaults: NONE)
        Result.new(rule: self.class.key, join: join, status: status, code: code, margin: margin, values: values, cures: cures,
          missing: missing, defaults: defaults)
      end

      # A measure that is not known is asked for, not guessed.
      # @param measure [Symbol] one of MEASURES
      def ask(join, item, measure)
        raise ArgumentError, "#{measure} is not among MEASURES" unless MEASURES.include?(measure)

        found(join, :unknown, :measure_missing, missing: [[item, measure]], values: { name: item.name, measure: measure })
      end

      def loads
        @loads ||= Load.new
      end

      # @return [Measure::Length] across n lines side by side in one hole
      def bundle(line, passes)
        line.pulled * Measure::Bundle.ratio(passes)
      end

      # @return [Array<Catalogue::Line>] of the same kind, thickest first, that are thinner
      def thinner(line)
        @table.lines.values.select { |other|
          other.kind == line.kind && other.thickness < line.thickness
        }.sort_by { |other| -other.thickness }
      end

      # @return [Array<Catalogue::Part>] of the same kind and form, with as many holes, nearest in size and material first, that pass the
      # block
      def others(part, &block)
        @others ||= {}.compare_by_identity
        (@others[part] ||= alike(part)).select(&block).first(3)
      end

      # @return [Array<Catalogue::Part>] nearest first
      def alike(part)
        alike = @table.parts.values.select do |other|
          other.kind == part.kind && other.form == part.form && other.lines == part.lines && other.key != part.key && !other.made?
        end
        alike.sort_by { |other| [(other.along - part.along).abs, (other.outer - part.outer).abs, other.material == part.material ? 0 : 1] }
      end

      # @return [Cure]
      def swap_part(part, other)
        Cures::SwapPart.new(part, other)
      end

      # @return [Cure]
      def swap_line(line, other, **change)
        Cures::SwapLine.new(line, other, **change)
      end

      def ranked(cures)
        cures.sort_by(&:change)
      end
    end
  end
end
