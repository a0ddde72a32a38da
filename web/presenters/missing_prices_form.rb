# frozen_string_literal: true

module Web
  module Presenters
    # A pack and its price for each thing of a class that has none, all from one supplier. What is left empty stays without a price.
    class MissingPricesForm
      include Fields

      NOTHING = 'Give the content and the price of at least one pack.'
      # key: in the form · name: of the thing · offer: OfferForm with what was typed, judged only where something was
      Row = Core::Value.define(:key, :name, :unit, :offer) do
        def empty?
          %i[amount price].all? { |field| value(field).empty? }
        end

        def value(field)
          offer.value(field)
        end

        # @return [String, nil] what to do there
        def error(field)
          offer.error(field) unless empty?
        end
      end

      attr_reader :rows

      # @param items [Array<StockItem>] without a price
      # @param market [Core::Supply::Market]
      # @param params [Hash] supplier, and amount and price by "kind:key"
      def initialize(items, market, params)
        @market = market
        @values = { 'supplier' => clean(params['supplier']) }
        by_key = items.to_h { |item| ["#{item.kind}:#{item.item.key}", item] }
        amounts, prices = %w[amount price].map { |field| beside(params[field], by_key.keys) }
        @rows = by_key.map { |key, item| row(key, item, amounts.fetch(key, ''), prices.fetch(key, '')) }
        @errors = { supplier: filled.filter_map { |row| row.error(:supplier) }.first, packs: (NOTHING if filled.empty?) }.compact
      end

      def suppliers
        @market.suppliers.values
      end

      def currency
        @market.currency
      end

      def valid?
        super && filled.all? { |row| row.offer.valid? }
      end

      # @return [Array<Core::Supply::Offer>]
      def offers
        filled.map { |row| row.offer.offer }
      end

      private

      def filled
        rows.reject(&:empty?)
      end

      # A part is entered by the piece and a line by the reel; other packs are entered with the thing itself.
      def row(key, item, amount, price)
        unit = item.line? ? :reel : :piece
        typed = { 'supplier' => value(:supplier), 'unit' => unit.to_s, 'amount' => amount, 'price' => price }
        Row.new(key: key, name: item.item.name, unit: unit, offer: OfferForm.new(item, typed))
      end
    end
  end
end
