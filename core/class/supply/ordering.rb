# frozen_string_literal: true

module Core
  module Supply
    # From what is short to what is bought.
    class Ordering
      # One thing to buy: a part, or a line in reels of one length.
      Thing = Value.define(:item, length: nil)

      def initialize(parts, lines, market)
        @market = market
        @short = parts.to_h { |supply| [Thing.new(item: supply.part), supply.short] }
          .merge(lines.flat_map { |supply|
                   supply.short.map { |length, count|
                     [Thing.new(item: supply.line, length: length), count]
                   }
                 }.to_h)
          .select { |_, count| count.positive? }
        @offers = @short.keys.to_h { |thing| [thing, offers(thing)] }
      end

      # @return [PurchaseOrder]
      def order
        offered, unoffered = @short.partition { |thing, _| @offers[thing].any? }.map(&:to_h)
        choice = Packs.new(offered, @offers, @market.suppliers).call
        purchases = choice.packs.map { |offer, number|
          purchase(offer, number)
        }.sort_by { |bought| [bought.offer.supplier, bought.item.name, bought.offer.amount] }
        PurchaseOrder.new(purchases: purchases, delivery: purchases.map { |bought|
          bought.offer.supplier
        }.uniq.to_h { |key| [key, @market.suppliers.fetch(key).delivery] },
          unoffered: unoffered.map { |thing, count| [thing.item, count] }, currency: @market.currency, proven: choice.proven)
      end

      private

      def offers(thing)
        return @market.packs_of(thing.item) if thing.length.nil?

        @market.reels_of(thing.item).select { |offer| offer.length == thing.length }.map { |offer| [offer, 1] }
      end

      # Named by what the pack is named by, or by what is wanted of it.
      def purchase(offer, number)
        held = @offers.filter_map { |thing, packs| (units = packs.find { |pack, _| pack.equal?(offer) }&.last) && [thing, units] }.to_h
        thing = held.keys.find { |one| one.item.key == offer.item } || held.keys.first
        also = [[offer.item, offer.amount], *offer.also].reject { |key, _| offer.also.empty? || key == thing.item.key }
        Purchase.new(offer: offer, number: number, item: thing.item, units: held.fetch(thing) * number, wanted: @short[thing],
          also: also.to_h { |key, pieces| [key, pieces * number] })
      end
    end
  end
end
