# frozen_string_literal: true

module Core
  module Measure
    # A length, held as a whole number of nanometres: millimetres with six decimals and inches down to 1/64 are exact.
    # One inch is 25.4 mm (international yard and pound agreement, 1959).
    class Length
      include Comparable

      NM_PER = { mm: 1_000_000, cm: 10_000_000, m: 1_000_000_000, in: 25_400_000, ft: 304_800_000 }.freeze

      attr_reader :nm

      class << self
        # @param number [Numeric] @param unit [Symbol] a key of NM_PER. Rounded to the nearest nanometre.
        def of(number, unit)
          new((number * NM_PER.fetch(unit)).round)
        end

        def mm(number)
          of(number, :mm)
        end

        def sum(lengths)
          new(lengths.sum(&:nm))
        end

        # @return [Length] @raise [NotALength] when the text cannot be read; see LengthText
        def parse(text, default_unit: nil)
          LengthText.read(text, default_unit: default_unit)
        end
      end

      def initialize(nanometres)
        @nm = nanometres
        freeze
      end

      ZERO = new(0)

      def +(other)
        Length.new(nm + other.nm)
      end

      def -(other)
        Length.new(nm - other.nm)
      end

      def -@
        Length.new(-nm)
      end

      # @param factor [Numeric] irrational factors round to the nearest nanometre
      def *(other)
        Length.new((nm * other).round)
      end

      # @return [Rational] for a length (how many times it goes in), [Length] for a number
      def /(other)
        return Rational(nm, other.nm) if other.is_a?(Length)

        Length.new((other.is_a?(Float) ? nm / other : Rational(nm, other)).round)
      end

      def <=>(other)
        nm <=> other.nm if other.is_a?(Length)
      end

      def eql?(other)
        other.is_a?(Length) && nm == other.nm
      end

      def hash
        nm.hash
      end

      def abs
        Length.new(nm.abs)
      end

      def zero?
        nm.zero?
      end

      def positive?
        nm.positive?
      end

      def negative?
        nm.negative?
      end

      # @return [Float] for drawing and printing
      def to_mm
        nm / 1e6
      end

      # Exact text in millimetres, such as "190.5 mm".
      def to_s
        whole, part = nm.abs.divmod(1_000_000)
        decimals = part.zero? ? '' : format('.%06d', part).sub(/0+\z/, '')
        "#{'-' if nm.negative?}#{whole}#{decimals} mm"
      end

      def inspect
        "#<Length #{self}>"
      end
    end
  end
end
