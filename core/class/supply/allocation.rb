# frozen_string_literal: true

module Core
  module Supply
    # Shares the stock out among the planned classes: what was bought for a class is its own; the rest goes to the classes in the order
    # given. Reservations are worked out, never stored, so they follow a class when it changes or is removed.
    class Allocation
      # @param stock [Stock] @param market [Market]
      # Keeps nothing.
      FORGETFUL = Object.new.tap { |kept| kept.define_singleton_method(:fetch) { |_, _, &work| work.call } }

      # @param bought [Hash{Object=>Stock}] by class key, what has arrived for it · @param due [Hash{Object=>Stock}] what is ordered for
      #   it and still to come
      # @param kept [#fetch] by class key, what was worked out before from the same
      def initialize(stock, market, bought: {}, due: {}, kept: FORGETFUL)
        @stock = stock
        @market = market
        @bought = bought
        @due = due
        @kept = kept
      end

      # @param wanted [Hash{Object=>StockDemand}] by class key, in the order in which they take from the stock
      # @return [Hash{Object=>ClassSupply}]
      def call(wanted)
        taken = Stock.new
        claims = Hash.new { |hash, thing| hash[thing] = [] }
        own = own_of(wanted)
        wanted.to_h do |key, claim|
          free = @stock.less(taken).less(own.except(key).values.reduce(Stock.new, :plus))
          supply = @kept.fetch(key, basis(key, claim, free, claims)) { supply_of(key, claim, free, claims) }
          own.delete(key)
          taken = taken.plus(supply.from_stock)
          (supply.parts.select { |one| one.from_stock.positive? }.map(&:part) + supply.lines.select { |one|
            one.from_stock.any?
          }.map(&:line)).each { |thing| claims[thing] << key }
          [key, supply]
        end
      end

      private

      # What a class's supply is worked out from: of everything only what the class wants.
      def basis(key, claim, free, claims)
        things = claim.parts.map(&:part) + claim.lines.keys
        keys = [claim.parts.map { |one| one.part.key }, claim.lines.keys.map(&:key)]
        stocks = [@stock, free, @due.fetch(key, Stock.new)].map { |stock| [stock.parts.slice(*keys.first), stock.lines.slice(*keys.last)] }
        [@market, claim, stocks, claims.slice(*things).transform_values(&:dup)]
      end

      # Of what was bought for each class, as much as it wants and there still is.
      def own_of(wanted)
        wanted.to_h do |key, claim|
          bought = @bought.fetch(key, Stock.new)
          most = claim.parts.to_h { |one| [one.part.key, one.used + one.spares] }
          [key,
           Stock.new(parts: bought.parts.to_h { |part, count|
             [part, [count, most.fetch(part, 0)].min]
           }, lines: bought.lines.slice(*claim.lines.keys.map(&:key)))]
        end
      end

      def supply_of(key, claim, free, claims)
        due = @due.fetch(key, Stock.new)
        parts = claim.parts.map { |one| part_supply(one, free, due, claims) }
        market = claim.fill_up ? @market : @market.without_minimums
        lines = claim.lines.map { |line, pieces| line_supply(line, pieces, free, due, claims) }
        chosen = ReelChoice.new(parts, lines, market, claim.reels, offcuts: claim.offcuts).call
        ClassSupply.new(parts: parts, lines: chosen.lines, ordering: Lazy.new {
          PurchaseOrder.for(parts, chosen.lines, market).then { |order| chosen.proven ? order : order.with(proven: false) }
        })
      end

      def part_supply(wanted, free, due, claims)
        part = wanted.part
        on_hand = @stock.part(part.key)
        PartSupply.new(part: part, used: wanted.used, spares: wanted.spares, on_hand: on_hand,
          reserved: on_hand - [free.part(part.key), 0].max,
          claimed_by: claims.fetch(part, []).dup, due: due.part(part.key))
      end

      # Reels on order are cut from like those on the shelf.
      def line_supply(line, pieces, free, due, claims)
        bars = free.bars(line.key).select { |_, count| count.positive? }
        reserved = @stock.bars(line.key).to_h { |length, count| [length, count - bars.fetch(length, 0)] }.reject { |_, count| count.zero? }
        coming = due.bars(line.key)
        choice = Cutting::Reels.choices(pieces, @market.reel_lengths(line), on_hand: bars.merge(coming) { |_, held, more| held + more })
        LineSupply.new(line: line, reserved: reserved, claimed_by: claims.fetch(line, []).dup, free: bars, due: coming,
          cuts: choice.plans.first,
          choice: choice)
      end
    end
  end
end
