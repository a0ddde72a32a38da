# frozen_string_literal: true

module Core
  module Supply
    # One pack that one supplier sells.
    #
    # @param kind :part or :line
    # @param item its key
    # @param price Money of one pack
    # @param unit :piece (amount: how many), :gram (amount: milligrams), :strand or :reel (amount: nanometres)
    # @param article the supplier's own name for it
    # @param also {part key => pieces} that come in the same pack
    Offer = Value.define(:supplier, :kind, :item, :unit, :amount, :price, article: '', also: {}.freeze) do
      # @return [String] names it among all that suppliers sell
      def key
        self.class.key(supplier, kind, item, unit, amount)
      end

      # @param part [Catalogue::Part]
      # @return [Integer] how many of the part one pack holds at the least; 0 when its weight is not known
      def count(part)
        case unit
        when :piece then amount
        when :gram then (mass = Catalogue::Mass.milligrams(part)) ? (amount / mass).floor : 0
        when :strand then (Measure::Length.new(amount) / part.along).floor
        else 0
        end
      end

      # @param part [Catalogue::Part] @return [Integer] how many of it one pack holds
      def holds(part)
        part.key == item ? count(part) : also.fetch(part.key, 0)
      end

      # @return [Integer] pieces of all kinds, where it holds several
      def pieces
        amount + also.values.sum
      end

      # @return [Measure::Length] of line on one reel
      def length
        Measure::Length.new(amount)
      end
    end

    class Offer
      UNITS = { part: %i[piece gram strand], line: %i[reel] }.freeze
      MOST_PACKS = 10_000

      # @return [String] the same for packs that differ only in price and name
      def self.key(supplier, kind, item, unit, amount)
        [supplier, kind, item, unit, amount].join('/')
      end
    end
  end
end
