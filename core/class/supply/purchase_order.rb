# frozen_string_literal: true

module Core
  module Supply
    # What is bought for a class.
    #
    # @param purchases [Purchase] by supplier, then name
    # @param delivery {supplier key => Money}
    # @param unoffered [(item, units short)] that nobody sells
    # @param proven no cheaper combination exists
    PurchaseOrder = Value.define(:purchases, :delivery, :unoffered, :currency, :proven) do
      def goods
        Money.sum(purchases.map(&:cost), currency)
      end

      def total
        Money.sum([goods, *delivery.values], currency)
      end

      # @return [Hash{String=>Array<Purchase>}]
      def by_supplier
        purchases.group_by { |purchase| purchase.offer.supplier }
      end

      # @return [Money] of one supplier's goods and delivery
      def total_of(supplier)
        Money.sum([*by_supplier.fetch(supplier).map(&:cost), delivery.fetch(supplier)], currency)
      end
    end

    # So many packs of one offer.
    #
    # @param item part or line
    # @param units pieces or reels it brings
    # @param wanted of them, for the class
    # @param also {part key => pieces} that come in the same packs
    Purchase = Value.define(:offer, :number, :item, :units, :wanted, also: {}.freeze) do
      # @return [Measure::Length, nil] of each reel, nil for parts
      def length
        offer.kind == :line ? offer.length : nil
      end

      # @return [Hash{String=>Integer}] all that it brings, by key
      def brings
        { item.key => units, **also }
      end

      def cost
        offer.price * number
      end
    end

    class PurchaseOrder
      # @param parts [Array<PartSupply>] @param lines [Array<LineSupply>] @param market [Market]
      # @return [PurchaseOrder]
      def self.for(parts, lines, market)
        Ordering.new(parts, lines, market).order
      end
    end
  end
end
