# frozen_string_literal: true

module Web
  module Presenters
    module Sections
      # What the kits hold, what is held back, where it comes from and what is bought.
      class Materials < Section
        include Supplied

        def modes
          Core::Setup::SupplySettings.field(:spares).of
        end

        # @return [Array<Core::Planning::PersonPlan>] who gets a kit
        def kits
          plan.kits.select(&:fitted?)
        end

        def count_for(person, part)
          person.needs.find { |need| need.part == part }&.count
        end

        def held(part, mode)
          plan.spares[part].held(mode)
        end

        def weight(need)
          Formats::OfferText.handed_out(need.part, need.count)
        end

        def order
          supply.order
        end

        def supplier(key)
          market.suppliers.fetch(key)
        end

        def content(offer)
          Formats::OfferText.content(offer, unit)
        end

        # @return [Integer] of one item, bought beyond what is wanted
        def left_over(item)
          bought = order.purchases.select { |purchase| purchase.item == item }
          order.purchases.sum { |purchase| purchase.brings.fetch(item.key, 0) } - bought.map(&:wanted).max
        end

        # @param bought [Core::Supply::Purchase] @return [String] what else comes in its packs
        def others(bought)
          Formats::OfferText.others(bought.also, plan.table)
        end

        # @return [Core::Money, nil] what is still missing to a supplier's minimum, where the order was filled up or falls short
        def minimum(key)
          least = supplier(key).minimum
          least unless least.zero?
        end

        # @return [Array<Store::Orders::Ordered>] ordered for this class and still to come, by supplier
        def on_the_way
          @reading.orders.select { |ordered| ordered.due.positive? }.group_by(&:supplier)
        end

        def item_name(ordered)
          table = ordered.kind == :part ? @reading.catalogue.parts : @reading.catalogue.lines
          name = table[ordered.item]&.name || ordered.item
          ordered.length ? "#{name}, reel of #{reel(ordered.length)}" : name
        end

        # @return [Core::Money] what is still to come was to cost
        def expected_price(ordered)
          market.money(Rational(ordered.price * ordered.due, ordered.units).round)
        end

        # @return [Array<String>] what would not be short but for classes that take first
        def short_for_others
          (supply.parts.select(&:short_for_others?).map(&:part) + supply.lines.select(&:short_for_others?).map(&:line)).map(&:name)
        end

        # @return [Array<(Integer, String)>] the classes that take from the stock, in their order
        def reserving
          @reading.others.to_a
        end

        def stock_path(item)
          "/stockroom/#{item.is_a?(Core::Catalogue::Part) ? 'parts' : 'lines'}/#{item.key}/stock"
        end

        def unoffered_words(item, count)
          item.is_a?(Core::Catalogue::Part) ? count.to_s : count_of(count, 'reel')
        end
      end
    end
  end
end
