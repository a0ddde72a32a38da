# frozen_string_literal: true

module Core
  module Supply
    # Where the materials of one class come from, and what is to be bought.
    #
    # @param parts [PartSupply]
    # @param lines [LineSupply]
    # @param ordering Lazy of Order, since only the class one looks at needs one
    ClassSupply = Value.define(:parts, :lines, :ordering) do
      # @return [PurchaseOrder]
      def order
        ordering.value
      end

      # @return [Integer] different things still to be bought
      def short
        parts.count { |supply| supply.short.positive? } + lines.count { |supply| supply.short.any? || supply.cuts.unplaced.any? }
      end

      # @return [Array<LineSupply>] with a cut longer than anything there is
      def uncuttable
        lines.select { |supply| supply.cuts.too_long.any? }
      end

      # @return [Stock] what it takes from the shelf
      def from_stock
        Stock.new(parts: parts.to_h { |one| [one.part.key, one.from_stock] }, lines: lines.to_h { |one| [one.line.key, one.from_stock] })
      end

      # @param stock [Stock] the whole shelf
      # @return [Stock] of it what is free to this class, with what is ordered for it and still to come; of what it does not need, all
      def free_of(stock)
        lines_free = lines.to_h { |one| [one.line.key, one.free.merge(one.due) { |_, held, coming| held + coming }] }
        stock.with(parts: stock.parts.merge(parts.to_h { |one| [one.part.key, one.free + one.due] }), lines: stock.lines.merge(lines_free))
      end

      # @return [LineSupply, nil]
      def line(key)
        lines.find { |supply| supply.line.key == key }
      end
    end
  end
end
