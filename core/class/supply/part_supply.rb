# frozen_string_literal: true

module Core
  module Supply
    # Where one part of a class comes from.
    #
    # @param used in the kits
    # @param spares held back
    # @param on_hand on the shelf
    # @param reserved of it, for other classes
    # @param claimed_by keys of classes that took first
    # @param due ordered for this class and still to come
    PartSupply = Value.define(:part, :used, :spares, :on_hand, :reserved, :claimed_by, due: 0) do
      def wanted
        used + spares
      end

      def free
        [on_hand - reserved, 0].max
      end

      def from_stock
        [wanted, free].min
      end

      # @return [Integer] still to be bought
      def short
        [wanted - from_stock - due, 0].max
      end

      # @return [Boolean] whether it would not be short but for other classes
      def short_for_others?
        short.positive? && on_hand > free
      end
    end
  end
end
