# frozen_string_literal: true

module Core
  module Supply
    # What the ledger says when a class's kits leave the stock.
    module Taking
      module_function

      # New reels must have been received first: they are taken from the stock like any other bar.
      # @param supply [ClassSupply] @param class_id [Integer]
      # @return [Array<Entry>] parts and bars that leave, offcuts that come
      def entries(supply, class_id, note: '')
        parts = supply.parts.map { |part| entry(:part, part.part.key, -part.wanted, :taken, class_id, note) }
        parts + supply.lines.flat_map { |line| bars(line, class_id, note) }
      end

      def bars(line, class_id, note)
        opened = line.cuts.bars.map(&:length).tally.map { |length, count|
          entry(:line, line.line.key, -count, :taken, class_id, note, length)
        }
        kept = line.cuts.offcuts.tally.map { |length, count| entry(:line, line.line.key, count, :offcut, class_id, note, length) }
        opened + kept
      end

      def entry(kind, item, quantity, reason, class_id, note, length = nil)
        Entry.new(kind: kind, item: item, quantity: quantity, reason: reason, class_id: class_id, note: note, length: length)
      end
      private_class_method :bars, :entry
    end
  end
end
