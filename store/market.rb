# frozen_string_literal: true

require 'json'

module Store
  # Suppliers and what they offer.
  class Market
    include Transactional

    # @return [Core::Supply::Market]
    def all
      stamp = @database[:studio].get(%i[supply_revision currency])
      return @all if @stamp == stamp

      @all = Core::Supply::Market.of(@database[:offers].order(:item, :amount, :id).all.map { |row|
        offer(row, stamp.last)
      }, suppliers(stamp.last), stamp.last)
      @stamp = stamp
      @all
    end

    def save_supplier(supplier)
      changing do
        @database[:suppliers].insert_conflict(target: :key, update: { name: supplier.name, delivery: supplier.delivery.minor,
          minimum: supplier.minimum.minor })
          .insert(key: supplier.key, name: supplier.name, delivery: supplier.delivery.minor, minimum: supplier.minimum.minor)
      end
    end

    # Adds, or gives a pack that is known its new price.
    # @param offers [Array<Core::Supply::Offer>]
    def save(offers)
      changing do
        offers.each do |offer|
          row = {
            supplier: offer.supplier,
            kind: offer.kind.to_s,
            item: offer.item,
            unit: offer.unit.to_s,
            amount: offer.amount,
            price: offer.price.minor,
            article: offer.article,
            also: offer.also.empty? ? nil : JSON.generate(offer.also)
          }
          known = { target: %i[supplier kind item unit amount], update: row.slice(:price, :article, :also) }
          @database[:offers].insert_conflict(**known).insert(row)
        end
      end
    end

    # @return [Boolean] whether there was such an offer
    def remove(offer)
      changing {
        @database[:offers].where(supplier: offer.supplier, kind: offer.kind.to_s, item: offer.item, unit: offer.unit.to_s,
          amount: offer.amount).delete.positive?
      }
    end

    # @param table [Symbol] :parts or :lines
    def remove_offers(table, key)
      changing { @database[:offers].where(kind: table.to_s.delete_suffix('s'), item: key).delete }
    end

    def remove_supplier(key)
      changing { @database[:suppliers].where(key: key).delete }
    end

    # Takes another currency with the same figures: 4.50 stays 4.50, whole units where the new one has no smaller ones.
    # The amounts that classes hold (venue, hours) are minor units too and are carried over with them.
    # @param currency [String] a key of Core::Money::DIGITS
    def change_currency(currency)
      changing do
        from = Core::Money::DIGITS.fetch(@database[:studio].get(:currency))
        shift = 10.0**(Core::Money::DIGITS.fetch(currency) - from)
        unless shift == 1
          { suppliers: %i[delivery minimum], offers: %i[price], ordered: %i[price paid] }.each do |table, columns|
            @database[table].update(columns.to_h { |column|
              [column, Sequel.cast(Sequel.function(:round, Sequel[column] * shift), Integer)]
            })
          end
          ClassAmounts.shift(@database, shift)
        end
        @database[:studio].update(currency: currency)
      end
    end

    private

    def changing
      write do
        result = yield
        @database[:studio].update(supply_revision: Sequel[:supply_revision] + 1)
        result
      end
    end

    def suppliers(currency)
      money = ->(minor) { Core::Money.new(minor: minor, currency: currency) }
      @database[:suppliers].order(:name).all.to_h do |row|
        [row[:key],
         Core::Supply::Supplier.new(key: row[:key], name: row[:name], delivery: money.(row[:delivery]), minimum: money.(row[:minimum]))]
      end
    end

    def offer(row, currency)
      Core::Supply::Offer.new(supplier: row[:supplier], kind: row[:kind].to_sym, item: row[:item], unit: row[:unit].to_sym,
        amount: row[:amount],
        price: Core::Money.new(minor: row[:price], currency: currency), article: row[:article],
        also: row[:also] ? JSON.parse(row[:also]) : {})
    end
  end
end
