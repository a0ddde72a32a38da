# frozen_string_literal: true

module Web
  module Presenters
    # A pack that a supplier sells, as typed.
    class OfferForm
      include Fields

      SCALE = { piece: 1, gram: 1000, strand: 1_000_000, reel: 1_000_000_000 }.freeze

      # @param stock_item [StockItem]
      def initialize(stock_item, params)
        @stock_item = stock_item
        @market = stock_item.market
        @values = %w[supplier unit amount price article].to_h { |name| [name, clean(params[name])] }
        @errors = check
      end

      # @return [Core::Supply::Offer]
      def offer
        Core::Supply::Offer.new(supplier: value(:supplier), kind: @stock_item.kind, item: @stock_item.item.key, unit: value(:unit).to_sym,
          amount: amount, price: price, article: value(:article))
      end

      private

      def units
        Core::Supply::Offer::UNITS.fetch(@stock_item.kind)
      end

      def amount
        (value(:amount).tr(',', '.').to_r * SCALE.fetch(value(:unit).to_sym)).round
      end

      def price
        Core::Money.parse(value(:price), @market.currency)
      end

      def check
        known = units.map(&:to_s).include?(value(:unit))
        {
          supplier: ('Choose a supplier; enter one first if there is none.' unless @market.suppliers.key?(value(:supplier))),
          unit: ('Choose how it is sold.' unless known),
          amount: (amount_problem if known),
          price: ('Give the price of a pack, such as 4.50, not below zero.' unless price && price.minor >= 0),
          article: ('Shorten this to 160 characters.' if value(:article).length > 160)
        }.compact
      end

      def amount_problem
        whole = value(:unit) == 'piece'
        return if value(:amount).match?(whole ? /\A\d{1,6}\z/ : /\A\d{1,6}([.,]\d{1,3})?\z/) && amount.positive?

        whole ? 'Give how many are in a pack, a whole number above 0.' : 'Give how much is in a pack, above 0.'
      end
    end
  end
end
