# frozen_string_literal: true

module Core
  module Supply
    # What can be bought.
    #
    # @param by_item {[kind, key] => [Offer]}
    # @param suppliers {key => Supplier}
    # @param currency of all prices
    Market = Value.define(by_item: {}.freeze, suppliers: {}.freeze, currency: 'EUR') do
      # @return [Array<(Offer, Integer)>] with how many of the part a pack holds; packs whose content is not known are left out
      def packs_of(part)
        of(:part, part.key).map { |offer| [offer, offer.holds(part)] }.select { |_, count| count.positive? }
      end

      # @return [Array<Offer>] reels of one line
      def reels_of(line)
        of(:line, line.key)
      end

      # @return [Array<Measure::Length>] that can be bought; where nobody offers any, the usual reel
      def reel_lengths(line)
        offered = reels_of(line).map(&:length).uniq
        offered.empty? ? [line.reel_length].compact : offered
      end

      # @param item [Catalogue::Part, Catalogue::Line]
      # @return [Rational, nil] minor units for one part, or for one nanometre of line, where it is cheapest
      def unit_cost(item)
        packs = item.is_a?(Catalogue::Line) ? reels_of(item).map { |offer| [offer, offer.amount] } : packs_of(item)
        # Of an assortment every piece costs the same.
        packs.map { |offer, units| Rational(offer.price.minor, offer.also.empty? ? units : offer.pieces) }.min
      end

      # @return [Market] where every order is taken, however small
      def without_minimums
        with(suppliers: suppliers.transform_values { |supplier| supplier.with(minimum: money(0)) })
      end

      def money(minor)
        Money.new(minor: minor, currency: currency)
      end

      def offers
        by_item.values.flatten.uniq
      end

      private

      def of(kind, key)
        by_item.fetch([kind, key], [])
      end
    end

    class Market
      # @param offers [Array<Offer>]
      def self.of(offers, suppliers, currency)
        named = offers.flat_map { |offer| [offer.item, *offer.also.keys].map { |item| [[offer.kind, item], offer] } }
        by_item = named.group_by(&:first).transform_values { |pairs| pairs.map(&:last) }
        new(by_item: by_item.freeze, suppliers: suppliers, currency: currency)
      end
    end
  end
end
