# frozen_string_literal: true

module Core
  module Logbook
    # What was paid for packs that came.
    #
    # @param offer its key, see Supply::Offer
    # @param packs how many came, as a share where a pack came in part
    # @param paid minor units for all of them
    PricePaid = Value.define(:offer, :packs, :paid) do
      # @return [Float] minor units for one pack
      def each_pack
        (paid / packs).to_f
      end
    end

    class PricePaid
      # A price is what was paid last; low and high are the least and the most that was.
      # @param deliveries [Array<PricePaid>] the oldest first
      # @return [Array<LearnedValue>] of each offer; number: packs, classes: deliveries, value: minor units for a pack
      def self.lessons(deliveries)
        deliveries.group_by(&:offer).map do |key, same|
          prices = same.map(&:each_pack)
          LearnedValue.new(about: key, number: same.sum(&:packs), classes: same.size, value: prices.last, low: prices.min, high: prices.max)
        end
      end
    end
  end
end
