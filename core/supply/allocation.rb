# frozen_string_literal: true

module Core
  module Supply
    # Shares the stock out among the planned classes: the class that was planned first takes first, the others are told.
    # Reservations are worked out, never stored, so they follow a class when it changes or is removed.
    class Allocation
      # @param stock [Stock] @param market [Market]
      def initialize(stock, market)
        @stock = stock
        @market = market
      end

      # @param plans [Hash{Object=>Plan}] by class key, in the order in which the classes were planned
      # @return [Hash{Object=>ClassSupply}]
      def call(plans)
        free = @stock
        claims = Hash.new { |hash, thing| hash[thing] = [] }
        plans.to_h do |key, plan|
          parts = parts_of(plan, free, claims)
          lines = lines_of(plan, free, claims)
          free = free.less(parts.to_h { |supply| [supply.part.key, supply.from_stock] }, lines.to_h { |supply| [supply.line.key, supply.opened] })
          (parts.select { |supply| supply.from_stock.positive? }.map(&:part) + lines.select { |supply| supply.opened.any? }.map(&:line)).each { |thing| claims[thing] << key }
          [key, ClassSupply.new(parts: parts, lines: lines, ordering: Lazy.new { Order.for(parts, lines, @market) })]
        end
      end

      private

      def parts_of(plan, free, claims)
        plan.needs.map do |need|
          on_hand = @stock.part(need.part.key)
          PartSupply.new(part: need.part, used: need.count, spares: plan.spares[need.part].held(plan.workshop.supply.spares), on_hand: on_hand,
                         reserved: on_hand - free.part(need.part.key), claimed_by: claims.fetch(need.part, []).dup)
        end
      end

      def lines_of(plan, free, claims)
        plan.line_totals.keys.map do |line|
          bars = free.bars(line.key)
          reserved = @stock.bars(line.key).to_h { |length, count| [length, count - bars.fetch(length, 0)] }.reject { |_, count| count.zero? }
          LineSupply.new(line: line, reserved: reserved, claimed_by: claims.fetch(line, []).dup,
                         cuts: Cutting::Reels.plan(plan.pieces(line), @market.reel_lengths(line), on_hand: bars))
        end
      end
    end
  end
end
