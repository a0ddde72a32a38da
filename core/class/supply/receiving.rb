# frozen_string_literal: true

module Core
  module Supply
    # What the ledger says when an order arrives.
    module Receiving
      module_function

      # @param purchases [Array<Purchase>] @return [Array<Entry>]
      def entries(purchases, note: '')
        purchases.flat_map do |bought|
          bought.brings.map { |key, units|
            Entry.new(kind: bought.offer.kind, item: key, quantity: units, reason: :received, note: note, length: bought.length)
          }
        end
      end
    end
  end
end
