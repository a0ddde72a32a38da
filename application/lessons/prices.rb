# frozen_string_literal: true

module Application
  class Lessons
    # Prices of packs, from what was paid when orders came. Values are minor units.
    class Prices
      SORT = 'price'

      # @param studio [Store::Studio] @param library [Library]
      def initialize(studio, library)
        @studio = studio
        @table = library.table
        @offers = library.market.offers.to_h { |offer| [offer.key, offer] }
      end

      # See Times#rows; the subject is the offer and what it offers.
      def rows(_learnt, before)
        Core::Logbook::PricePaid.lessons(@studio.orders.paid).filter_map do |lesson|
          offer = @offers[lesson.about] or next
          price = offer.price.minor
          values = [lesson.value, lesson.low, lesson.high].map(&:round)
          yield lesson.about, [offer, item(offer)], lesson, before.fetch(lesson.about, price).to_i, values, price
        end
      end

      def save(values)
        known = values.filter_map { |key, minor| @offers[key]&.then { |offer| offer.with(price: offer.price.with(minor: minor.to_i)) } }
        @studio.market.save(known) if known.any?
      end

      def reset(key, before)
        save(key => before)
      end

      private

      def item(offer)
        @table.public_send(offer.kind == :part ? :parts : :lines)[offer.item]
      end
    end
  end
end
