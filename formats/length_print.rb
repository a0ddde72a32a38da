# frozen_string_literal: true

module Formats
  # Prints lengths in the studio's unit. Millimetres to the nearest tenth; inches as whole and sixteenths,
  # with "about" sign where that rounds.
  module LengthPrint
    SIXTEENTH = Core::Measure::Length.of(Rational(1, 16), :in)

    module_function

    # @param unit [Symbol] :mm or :in @param signed [Boolean] whether a plus is shown
    # @return [String] such as "190 mm", "25.1 mm", "7 1/2 in"
    def call(length, unit, signed: false)
      text = unit == :in ? inches(length.abs) : millimetres(length.abs)
      sign(length, text, signed) + text
    end

    # Whether a text is just what was printed for this length: then nothing was changed by who sent it back.
    def printed?(text, length)
      %i[mm in].any? { |unit| call(length, unit) == text }
    end

    # To the nearest hundredth of a millimetre or thousandth of an inch, for what must fit.
    # @return [String] such as "0.76 mm", "0.030 in"
    def fine(length, unit, signed: false)
      text = if unit == :in then format('%.3f in', length.abs.nm / 25.4e6)
             else "#{format('%.2f', Rational(length.abs.nm, 10_000).round / 100.0).sub(/\.?0+\z/, '')} mm"
             end
      sign(length, text, signed) + text
    end

    # None for what rounds to nothing.
    def sign(length, text, signed)
      return '' unless text.match?(/[1-9]/)
      return "\u2212" if length.negative?

      signed ? '+' : ''
    end

    def millimetres(length)
      whole, tenth = Rational(length.nm, 100_000).round.divmod(10)
      "#{whole}#{".#{tenth}" unless tenth.zero?} mm"
    end

    def inches(length)
      sixteenths = (length / SIXTEENTH).round
      whole, rest = sixteenths.divmod(16)
      fraction = Rational(rest, 16)
      parts = [(whole if whole.positive? || rest.zero?), (fraction.to_s unless rest.zero?)].compact
      "#{parts.join(' ')} in"
    end
    private_class_method :sign, :millimetres, :inches
  end
end
