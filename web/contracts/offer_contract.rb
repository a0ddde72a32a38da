# frozen_string_literal: true

module Web
  module Contracts
    # A pack that a supplier sells.
    class OfferContract < Contract
      texts :supplier, :unit, :amount, :price, :article

      option :currency
      option :suppliers
      option :units

      rule(:supplier).validate(known: [:suppliers, 'Choose a supplier; enter one first if there is none.'])
      rule(:unit).validate(known: [:units, 'Choose how it is sold.'])
      rule(:price).validate(amount: [0..LARGEST_AMOUNT_MINOR, 'Give the price of a pack, such as 4.50, not below zero.'])
      rule(:article).validate(at_most: 160)
      rule(:amount) do
        next unless key?

        whole = values[:unit] == 'piece'
        good = value.match?(whole ? WHOLE : DECIMAL) && value.tr(',', '.').to_r.between?(Rational(1, 1000), 999_999)
        next if good || units.none? { |unit| unit.to_s == values[:unit] }

        key.failure(whole ? 'Give how many are in a pack, a whole number above 0.' : 'Give how much is in a pack, above 0.')
      end
    end
  end
end
