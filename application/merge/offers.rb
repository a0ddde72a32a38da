# frozen_string_literal: true

module Application
  module Merge
    # What suppliers offer; of suppliers that are here by now.
    class Offers < Kind
      private

      def name
        :offers
      end

      def present
        @studio.market.all.offers
      end

      def key(item)
        [item.supplier, item.kind, item.item, item.unit, item.amount]
      end

      def save(chosen)
        known = @studio.market.all.suppliers
        @studio.market.save(chosen.select { |offer| known.key?(offer.supplier) })
      end
    end
  end
end
