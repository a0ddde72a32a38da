# frozen_string_literal: true

module Store
  # What was ordered for a class, and how much of it has arrived.
  class Orders
    include Transactional

    # One thing on order.
    #
    # @param kind :part or :line
    # @param length of each reel, nil for parts
    # @param units pieces or reels
    # @param arrived see units
    # @param price minor units for all of it, nil for what comes in the pack of another thing
    Ordered = Core::Value.define(:id, :class_id, :supplier, :kind, :item, :length, :units, :arrived, :at, price: nil) do
      # @return [Integer] still to come
      def due
        units - arrived
      end
    end

    # @return [Array<Ordered>] of which something is still to come, the oldest first
    def open
      @database[:ordered].where { arrived < units }.order(:id).all.map { |row| ordered(row) }
    end

    # @return [Array<Ordered>] of one class, the oldest first
    def of(class_id)
      @database[:ordered].where(class_id: class_id).order(:id).all.map { |row| ordered(row) }
    end

    # @param purchases [Array<Core::Supply::Purchase>]
    def place(class_id, purchases)
      write do
        rows = purchases.flat_map { |bought| bought.brings.map { |item, units| row(class_id, bought, item, units) } }
        @database[:ordered].multi_insert(rows)
      end
    end

    # @param id [Integer] of an Ordered @param units [Integer] that came now, at most what is due
    # @param paid [Integer, nil] minor units for those, where that was written down
    def arrive(id, units, paid = nil)
      change = { arrived: Sequel[:arrived] + units }
      change.update(paid: added(:paid, paid), paid_units: added(:paid_units, units)) if paid
      write { @database[:ordered].where(id: id).update(change) }
    end

    # @return [Array<Core::Logbook::PricePaid>] the oldest first
    def paid
      @database[:ordered].exclude(paid: nil).exclude(price: nil).order(:id).all.map do |row|
        Core::Logbook::PricePaid.new(offer: Core::Supply::Offer.key(*row.values_at(:supplier, :kind, :item, :pack_unit, :pack_amount)),
          packs: Rational(row[:packs] * row[:paid_units], row[:units]), paid: row[:paid])
      end
    end

    # What has not come will not: only what arrived is kept.
    def cancel(class_id, supplier)
      write do
        due = @database[:ordered].where(class_id: class_id, supplier: supplier).where { arrived < units }
        due.where(arrived: 0).delete
        due.update(units: :arrived)
      end
    end

    private

    def added(column, number)
      Sequel.function(:coalesce, column, 0) + number
    end

    # The price stands with what the pack is listed for.
    def row(class_id, bought, item, units)
      listed = item == bought.item.key
      {
        pack_unit: bought.offer.unit.to_s,
        pack_amount: bought.offer.amount,
        packs: bought.number,
        price: (bought.cost.minor if listed && bought.offer.item == item),
        class_id: class_id,
        supplier: bought.offer.supplier,
        kind: bought.offer.kind.to_s,
        item: item,
        length_nm: bought.length&.nm || 0,
        units: units,
        made_at: Time.now.utc
      }
    end

    def ordered(row)
      Ordered.new(id: row[:id], class_id: row[:class_id], supplier: row[:supplier], kind: row[:kind].to_sym, item: row[:item],
        units: row[:units], arrived: row[:arrived], price: row[:price],
        length: (Core::Measure::Length.new(row[:length_nm]) if row[:kind] == 'line'), at: row[:made_at])
    end
  end
end
