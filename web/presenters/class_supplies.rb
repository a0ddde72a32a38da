# frozen_string_literal: true

module Web
  module Presenters
    # The materials of one class as its page shows them: from the shelf or to buy, cut from what, and what a seat costs.
    class ClassSupplies
      CURVE = (2..24).freeze

      def initialize(studio, id, plan, unit)
        @studio = studio
        @id = id
        @plan = plan
        @unit = unit
      end

      # @return [Core::Supply::ClassSupply, nil] nil when the kits have left the stock
      def supply
        @supply ||= @studio.supply(@id)
      end

      def taken?
        supply.nil?
      end

      def market
        @market ||= @studio.market.all
      end

      def choices
        @plan.workshop.supply
      end

      # @return [Core::Bill::Seat, nil]
      def seat
        @seat ||= supply && Core::Bill::Seat.of(@plan, supply, market)
      end

      def order
        supply.order
      end

      def supplier(key)
        market.suppliers.fetch(key)
      end

      def content(offer)
        Formats::OfferText.content(offer, @unit)
      end

      def reel(length)
        Formats::OfferText.reel(length)
      end

      def weight(need)
        Formats::OfferText.handed_out(need.part, need.count)
      end

      # @return [Integer] of one item, bought beyond what is wanted
      def left_over(item)
        bought = order.purchases.select { |purchase| purchase.item == item }
        bought.sum(&:units) - bought.map(&:wanted).max
      end

      # @return [String] a choice as it would be typed
      def entered(name)
        value = choices.public_send(name)
        SupplyForm::MONEY.include?(name) ? market.money(value).to_s.split.first : value.to_s
      end

      # @return [String] the classes that claimed something first
      def claimants(supply)
        supply.claimed_by.map { |id| titles.fetch(id, '') }.reject(&:empty?).join(', ')
      end

      def bar_drawing(bar)
        Formats::ReelSvg.new(bar.pieces, bar.length, unit: @unit, title: "#{bar.pieces.size} pieces from #{reel(bar.length)}").to_s
      end

      # @return [String] what proves the cut plan, in words
      def proof(cuts)
        return 'No reel length is known: enter it in the stockroom, then the reels are counted.' if cuts.unplaced.any?
        return 'Nothing to buy.' if cuts.new_reels.empty?
        return 'Proven: fewer new reels will not do.' if cuts.proven?

        "At most #{cuts.gap} #{cuts.gap == 1 ? 'reel' : 'reels'} more than needed."
      end

      # Precious or not, what is too short to keep. @return [String]
      def scrap(line)
        scrap = line.cuts.scrap
        cost = market.unit_cost(line.line)
        value = cost ? ", worth #{market.money((scrap.nm * cost).round)}" : ''
        "#{Formats::LengthPrint.call(scrap, @unit)}#{value}"
      end

      def curve
        points = CURVE.map { |people| [people, seat.price_for(people)] }
        Formats::PriceCurveSvg.new(points, people: seat.people, break_even: seat.break_even, title: 'Price of a seat against the number of people').to_s
      end

      def packed
        @packed ||= Packing.new(@studio, @plan, @id).progress
      end

      private

      def titles
        @titles ||= @studio.classes.all.to_h { |stored| [stored.id, stored.state.workshop.title] }
      end
    end
  end
end
