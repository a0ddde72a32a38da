# frozen_string_literal: true

module Core
  module Supply
    # The cheapest packs that hold at least so many of one thing: an unbounded covering knapsack, by dynamic programming over units
    # (Martello and Toth, Knapsack Problems, 1990).
    #
    # @param packs {Offer => number}
    # @param cost minor units
    PackCover = Value.define(:packs, :cost)

    class PackCover
      # @param units [Integer] wanted @param offers [Array<(Offer, Integer)>] with the units one pack holds
      # @return [PackCover] of two as cheap, the one that leaves more over
      def self.of(units, offers)
        grain = offers.map(&:last).reduce(:gcd)
        best = table((units + grain - 1) / grain, offers.map { |offer, held| [offer.price.minor, held / grain] })
        counts = Hash.new(0)
        left = (units + grain - 1) / grain
        while left.positive?
          offer, held = offers[best[left].last]
          counts[offer] += 1
          left -= held / grain
        end
        new(packs: counts.to_h, cost: counts.sum { |offer, number| offer.price.minor * number })
      end

      # @return [Array<(Integer, Integer)>] for each number of units: cost, and which pack is taken first
      def self.table(most, packs)
        largest_first = packs.each_index.sort_by { |i| -packs[i].last }
        costs = [0]
        chosen = [nil]
        (1..most).each do |wanted|
          cheapest = nil
          largest_first.each do |i|
            price, held = packs[i]
            cost = price + (held >= wanted ? 0 : costs[wanted - held])
            cheapest, chosen[wanted] = cost, i if cheapest.nil? || cost < cheapest
          end
          costs << cheapest
        end
        costs.zip(chosen)
      end
      private_class_method :table
    end
  end
end
