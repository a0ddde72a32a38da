# frozen_string_literal: true

module Web
  module Presenters
    # One part's or line's stock: what there is, its ledger, and what suppliers ask for it.
    class StockItem
      attr_reader :kind, :item, :form, :offer_form

      # @param table_name [Symbol] :parts or :lines
      # @param readings [Array<Integer>, nil] milligrams the scale showed
      def initialize(studio, library, table_name, key, form: nil, offer_form: nil, readings: nil)
        @studio = studio
        @kind = { parts: :part, lines: :line }.fetch(table_name) { raise Store::NotFound.new(:page, key) }
        @library = library
        @item = library.table.public_send(table_name)[key] || raise(Store::NotFound.new(@kind, key))
        @form = form
        @offer_form = offer_form
        @readings = readings
      end

      def path
        "/stockroom/#{kind}s/#{item.key}"
      end

      def line?
        kind == :line
      end

      # @return [Integer] pieces on the shelf
      def balance
        stock.part(item.key)
      end

      # @return [Hash{Core::Measure::Length=>Integer}] longest first
      def bars
        stock.bars(item.key).sort.reverse.to_h
      end

      def entries
        @entries ||= @studio.ledger.entries(kind, item.key)
      end

      # @return [Array<(Core::Supply::Entry, Integer)>] each with the balance after it, newest first
      def ledger
        sum = Hash.new(0)
        entries.reverse.map { |entry| [entry, sum[entry.length] += entry.quantity] }.reverse
      end

      def offers
        return market.reels_of(item) if line?

        market.offers.select { |offer| offer.kind == :part && [offer.item, *offer.also.keys].include?(item.key) }
      end

      # @return [Array<Core::Catalogue::Part>] what may come in one pack with it
      def others
        line? ? [] : @library.table.parts.values.reject { |part| part.key == item.key }
      end

      def market
        @library.market
      end

      def content(offer, unit)
        [Formats::OfferText.content(offer, unit), Formats::OfferText.others(offer.also, @library.table)].reject(&:empty?).join(' ')
      end

      # @return [String] of all on the shelf
      def weight
        Formats::OfferText.weight(item, balance)
      end

      def actions
        EntryForm::ACTIONS.fetch(kind)
      end

      def units
        Core::Supply::Offer::UNITS.fetch(kind)
      end

      # @return [Float, nil] milligrams of one
      def mass
        Core::Catalogue::Mass.milligrams(item) unless line?
      end

      # @return [WeighIn, nil]
      def weigh_in
        @readings && mass && Core::Supply::WeighIn.of(@readings, mass)
      end

      private

      def stock
        @stock ||= @studio.ledger.stock
      end
    end
  end
end
