# frozen_string_literal: true

module Core
  module Measure
    # Reads a length as people write it: "190 mm", "19,5 cm", ".5mm", "7 1/2 in", "7½\"", "2 ft 3 in".
    # A decimal comma and a decimal point mean the same; thousands are never grouped.
    module LengthText
      UNITS = {
        'mm' => :mm,
        'millimetre' => :mm,
        'millimetres' => :mm,
        'millimeter' => :mm,
        'millimeters' => :mm,
        'cm' => :cm,
        'centimetre' => :cm,
        'centimetres' => :cm,
        'centimeter' => :cm,
        'centimeters' => :cm,
        'm' => :m,
        'metre' => :m,
        'metres' => :m,
        'meter' => :m,
        'meters' => :m,
        'in' => :in,
        'ins' => :in,
        'inch' => :in,
        'inches' => :in,
        '"' => :in,
        '″' => :in,
        "''" => :in,
        'ft' => :ft,
        'foot' => :ft,
        'feet' => :ft,
        "'" => :ft,
        '′' => :ft
      }.freeze
      VULGAR = {
        '½' => '1/2',
        '¼' => '1/4',
        '¾' => '3/4',
        '⅓' => '1/3',
        '⅔' => '2/3',
        '⅛' => '1/8',
        '⅜' => '3/8',
        '⅝' => '5/8',
        '⅞' => '7/8'
      }.freeze
      NUMBER = %r{(?<whole>\d+)\s+(?<num>\d+)/(?<den>\d+)|(?<onlynum>\d+)/(?<onlyden>\d+)|(?<decimal>\d+(?:[.,]\d+)?|[.,]\d+)}
      TERM = /\A\s*(?:#{NUMBER})\s*(?<unit>[a-z]+\.?|"|″|''|'|′)?\s*/

      module_function

      # @param text [String] @param default_unit [Symbol, nil] taken where the text names no unit
      # @return [Length] may be zero or negative: bounds are the caller's rule
      # @raise [NotALength]
      def read(text, default_unit: nil)
        rest = normalise(text)
        raise NotALength.new(text, :blank) if rest.empty?

        negative = rest.delete_prefix!('-')
        found = terms(rest, default_unit, text)
        sizes = found.map(&:first)
        raise NotALength.new(text, :unreadable) if found.empty? || sizes != sizes.uniq.sort.reverse

        total = found.sum(&:last)
        Length.new((negative ? -total : total).round)
      end

      # @return [Array<(Integer, Rational)>] each term's unit and amount in nanometres; units must grow smaller, as in 2 ft 3 in
      def terms(rest, default_unit, text)
        found = []
        until rest.empty?
          match = TERM.match(rest) or raise NotALength.new(text, :unreadable)
          size = Length::NM_PER.fetch(unit(match[:unit], default_unit, text))
          found << [size, number(match, text) * size]
          rest = match.post_match
        end
        found
      end

      def normalise(text)
        plain = text.to_s.unicode_normalize(:nfc).downcase.tr("\u00a0\u202f\u2212", '  -').strip
        VULGAR.reduce(plain) { |s, (sign, fraction)| s.gsub(sign, " #{fraction}") }.strip
      rescue ArgumentError, Encoding::CompatibilityError
        raise NotALength.new(text.inspect, :unreadable)
      end

      def number(match, text)
        return Rational(match[:decimal].tr(',', '.').sub(/\A\./, '0.')) if match[:decimal]

        numerator, denominator = (match[:num] ? [match[:num], match[:den]] : [match[:onlynum], match[:onlyden]]).map(&:to_i)
        raise NotALength.new(text, :zero_denominator) if denominator.zero?

        match[:whole].to_i + Rational(numerator, denominator)
      end

      def unit(name, default_unit, text)
        return default_unit || raise(NotALength.new(text, :no_unit)) if name.nil?

        UNITS[name.delete_suffix('.')] || raise(NotALength.new(text, :unknown_unit))
      end
      private_class_method :terms, :normalise, :number, :unit
    end
  end
end
