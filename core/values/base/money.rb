# frozen_string_literal: true

module Core
  # An amount in whole minor units (cents) of one currency.
  #
  # @param minor Integer
  # @param currency a key of DIGITS
  Money = Value.define(:minor, :currency) do
    include Comparable

    def +(other)
      with(minor: minor + same(other))
    end

    def -(other)
      with(minor: minor - same(other))
    end

    # @param factor [Integer, Rational] rounded half up, as ISO 80000-1 annex B rule B
    def *(other)
      with(minor: ((minor * other.to_r) + Rational(1, 2)).floor)
    end

    def <=>(other)
      other.is_a?(Money) && other.currency == currency ? minor <=> other.minor : nil
    end

    def zero?
      minor.zero?
    end

    # Shares it out without losing a unit: each gets the whole part of its share, the units left go to the largest fractions.
    # @param weights [Array<Numeric>] not all zero
    # @return [Array<Money>] which sum to it
    def allocate(weights)
      total = weights.sum(&:to_r)
      shares = weights.map { |weight| minor * weight.to_r / total }
      left = minor - shares.sum(&:floor)
      favoured = shares.each_index.sort_by { |i| [shares[i].floor - shares[i], i] }.first(left)
      shares.each_with_index.map { |share, i| with(minor: share.floor + (favoured.include?(i) ? 1 : 0)) }
    end

    # @param step [Integer] minor units @return [Money] the next whole step at or above it
    def up_to(step)
      with(minor: Rational(minor, step).ceil * step)
    end

    def to_s
      digits = self.class::DIGITS.fetch(currency)
      return "#{minor} #{currency}" if digits.zero?

      whole, part = minor.abs.divmod(10**digits)
      "#{'-' if minor.negative?}#{whole}.#{part.to_s.rjust(digits, '0')} #{currency}"
    end

    private

    def same(other)
      other.currency == currency ? other.minor : raise(ArgumentError, "#{currency} and #{other.currency} do not add up")
    end
  end

  class Money
    # The largest amount that is taken.
    MOST_MINOR = 10_000_000
    # Minor digits of currencies (ISO 4217).
    DIGITS = {
      'EUR' => 2,
      'GBP' => 2,
      'USD' => 2,
      'CAD' => 2,
      'AUD' => 2,
      'NZD' => 2,
      'CHF' => 2,
      'SEK' => 2,
      'NOK' => 2,
      'DKK' => 2,
      'PLN' => 2,
      'CZK' => 2,
      'JPY' => 0
    }.freeze

    def self.zero(currency)
      new(minor: 0, currency: currency)
    end

    # @return [Money]
    def self.sum(amounts, currency)
      amounts.reduce(zero(currency), :+)
    end

    # @param text [String] such as "12.50", "12,5" or "7"
    # @return [Money, nil] nil when it does not read as an amount with no more digits than the currency has
    def self.parse(text, currency)
      digits = DIGITS.fetch(currency)
      match = /\A(-?)(\d{1,9})(?:[.,](\d{1,#{[digits, 1].max}}))?\z/.match(text.to_s.strip) or return
      return if match[3] && digits.zero?

      units = (match[2].to_i * (10**digits)) + match[3].to_s.ljust(digits, '0').to_i
      new(minor: match[1].empty? ? units : -units, currency: currency)
    end
  end
end
