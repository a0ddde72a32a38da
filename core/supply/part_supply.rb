# frozen_string_literal: true

module Core
  module Supply
    # Where one part of a class comes from. used: in the kits · spares: held back · on_hand: on the shelf
    # reserved: claimed by classes planned before · claimed_by: their keys
    PartSupply = Value.define(:part, :used, :spares, :on_hand, :reserved, :claimed_by) do
      def wanted
        used + spares
      end

      def free
        [on_hand - reserved, 0].max
      end

      def from_stock
        [wanted, free].min
      end

      def short
        wanted - from_stock
      end

      # @return [Boolean] whether it would not be short but for the others
      def beaten?
        short.positive? && on_hand > free
      end
    end
  end
end
