# frozen_string_literal: true

module Application
  module Merge
    # What is on the shelf. Theirs is told as a count: the ledger keeps the difference, and where it came from.
    class Shelf < Kind
      private

      def name
        :stock
      end

      def present
        StudioArchive.entries(@studio.ledger.stock)
      end

      def key(item)
        [item.kind, item.item, item.length]
      end

      def save(chosen)
        @studio.ledger.post(chosen.map do |entry|
          entry.with(quantity: entry.quantity - (here[key(entry)]&.quantity || 0), note: @content.about['name'].to_s)
        end)
      end
    end
  end
end
