# frozen_string_literal: true

module Web
  module Presenters
    module Sections
      # Packing the kits: what goes in each bag, and what is already in it.
      class Packing < Section
        include Supplied

        # One thing of a bag. now: how many are in it · state: :in, :out or :changed, when its number is another than was packed
        Item = Core::Value.define(:key, :item, :count, :length, :now, :state)
        # One bag. done: things that are in it
        Bag = Core::Value.define(:key, :letter, :person, :items) do
          def done
            items.count { |item| item.state == :in }
          end

          def full?
            done == items.size
          end
        end

        # @return [Array<Bag>]
        def bags
          @bags ||= Core::Supply::Kits.new(plan).all.map { |kit| Bag.new(key: kit.key, letter: kit.letter, person: kit.person,
            items: kit.items.map { |item| packed(kit, item) }) }
        end

        def full
          bags.count(&:full?)
        end

        # @return [Array(Integer, Integer)] things in their bags, and things in all
        def things
          [bags.sum(&:done), bags.sum { |bag| bag.items.size }]
        end

        def item_words(item)
          weight = item.length ? '' : Formats::OfferText.handed_out(item.item, item.count)
          ["#{item.count} ×#{" #{length(item.length)}" if item.length} #{item.item.name}", (weight unless weight.empty?)].compact.join(', ')
        end

        # @return [String] what to do with something whose number changed after it was packed
        def changed_words(item)
          more = item.count - item.now
          "was #{item.now}, now #{item.count}: #{more.positive? ? "add #{more}" : "take out #{-more}"}"
        end

        # @return [String, nil] what is not packed yet, before the kits leave the stock
        def unpacked_words
          done, all = things
          done == all ? nil : "#{count_of(all - done, 'thing')} of #{all} #{all - done == 1 ? 'is' : 'are'} not packed yet."
        end

        # @return [Array<String>] what would be taken although it is short
        def short_words
          return [] if supply.nil?

          supply.parts.select { |part|
            part.short.positive? || part.due.positive?
          }.map { |part| "#{part.part.name}: #{part.from_stock} on the shelf for this class, #{part.wanted} wanted" } +
            supply.lines.select { |line|
              line.short.any? || line.opened != line.from_stock
            }.map { |line| "#{line.line.name}: a reel is not on the shelf yet" }
        end

        # @return [Array<String>] what is reserved for other classes and stays on the shelf
        def reserved_words
          supply.nil? ? [] : supply.parts.select { |part| part.reserved.positive? }.map { |part| "#{part.reserved} × #{part.part.name}" }
        end

        private

        def packed(kit, item)
          now = @reading.packed.fetch([kit.key, item.key], 0)
          now = item.count if now == Store::Packing::AS_PLANNED
          state = if now == item.count then :in
                  else now.zero? ? :out : :changed
                  end
          Item.new(key: item.key, item: item.item, count: item.count, length: item.length, now: now, state: state)
        end
      end
    end
  end
end
