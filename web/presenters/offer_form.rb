# frozen_string_literal: true

module Web
  module Presenters
    # A pack that a supplier sells, as typed.
    class OfferForm < Form
      SCALE = { piece: 1, gram: 1000, strand: 1_000_000, reel: 1_000_000_000 }.freeze

      # @param stock_item [StockItem]
      def initialize(stock_item, params)
        @stock_item = stock_item
        @currency = stock_item.market.currency
        super(typed(params, %w[supplier unit amount price article]).merge('also' => lines(params['also'])),
          Contracts::OfferContract.new(currency: @currency, suppliers: stock_item.market.suppliers.keys,
            units: Core::Supply::Offer::UNITS.fetch(stock_item.kind), parts: stock_item.others))
      end

      # @return [Core::Supply::Offer]
      def offer
        unit = value(:unit).to_sym
        Core::Supply::Offer.new(supplier: value(:supplier), kind: @stock_item.kind, item: @stock_item.item.key, unit: unit,
          amount: (value(:amount).tr(',', '.').to_r * SCALE.fetch(unit)).round, price: Core::Money.parse(value(:price), @currency),
          article: value(:article), also: Contracts::OfferContract.also(value(:also), @stock_item.others).to_h)
      end

      private

      def lines(given)
        given.to_s.lines.map { |line| clean(line) }.reject(&:empty?).join("\n")
      end
    end
  end
end
