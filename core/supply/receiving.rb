# frozen_string_literal: true

module Core
  module Supply
    # What the ledger says when an order arrives.
    module Receiving
      module_function

      # @param purchases [Array<Purchase>] @return [Array<Entry>]
      def entries(purchases, note: '')
        purchases.map do |bought|
          Entry.new(kind: bought.offer.kind, item: bought.offer.item, quantity: bought.units, reason: :received, note: note,
            length: (bought.offer.length if bought.offer.kind == :line))
        end
      end
    end
  end
end
