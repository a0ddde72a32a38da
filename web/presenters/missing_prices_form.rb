# frozen_string_literal: true

module Web
  module Presenters
    # A pack and its price for each thing of a class that has none, all from one supplier. What is left empty stays without a price.
    class MissingPricesForm
      # @param offer [OfferForm]
      Row = Core::Value.define(:item, :name, :unit, :offer, :typed) do
        # @return [String] as it was typed
        def value(field)
          typed.fetch(field, '')
        end

        # @return [String, nil] what to do there
        def error(field)
          offer.error(field) unless typed.empty?
        end
      end

      # @param items [Array<StockItem>] without a price
      # @param params [Hash] supplier, and packs[kind:key] with amount and price
      def initialize(items, params)
        @items = items
        @supplier = params['supplier'].to_s
        @packs = params['packs'].is_a?(Hash) ? params['packs'] : {}
      end

      attr_reader :supplier

      def rows
        @rows ||= @items.map { |item| row(item) }
      end

      def suppliers
        @items.empty? ? [] : @items.first.market.suppliers.values
      end

      def currency
        @items.first&.market&.currency
      end

      # @return [String, nil] at the supplier
      def supplier_error
        filled.filter_map { |row| row.offer.error(:supplier) }.first
      end

      # @return [String, nil] where nothing was typed at all
      def nothing
        'Give the content and the price of at least one pack.' if filled.empty?
      end

      def valid?
        filled.any? && filled.all? { |row| row.offer.valid? }
      end

      # @return [Array<Core::Supply::Offer>]
      def offers
        filled.map { |row| row.offer.offer }
      end

      private

      def filled
        rows.reject { |row| row.typed.empty? }
      end

      # A part is entered by the piece and a line by the reel; other packs are entered with the thing itself.
      def row(item)
        key = "#{item.kind}:#{item.item.key}"
        unit = item.line? ? :reel : :piece
        given = @packs[key].is_a?(Hash) ? @packs[key] : {}
        typed = given.slice('amount', 'price').select { |_, text| text.is_a?(String) && !text.strip.empty? }.transform_keys(&:to_sym)
        offer = OfferForm.new(item, { 'supplier' => @supplier, 'unit' => unit.to_s, **typed.transform_keys(&:to_s) })
        Row.new(item: key, name: item.item.name, unit: unit, offer: offer, typed: typed)
      end
    end
  end
end
