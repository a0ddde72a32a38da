# frozen_string_literal: true

module Store
  # The stock, as entries that are only ever added: the balance of a thing is the sum of its entries and never below zero.
  class Ledger
    include Transactional

    # Reasons of entries by which a class's kits leave the stock and come back.
    TAKING = %w[taken returned offcut].freeze

    # @return [Core::Supply::Stock]
    def stock
      sums = @database[:ledger].group(:kind, :item, :length_nm).select(:kind, :item, :length_nm,
        Sequel.function(:sum, :quantity).as(:quantity)).all
      Core::Supply::Stock.of(sums.map { |row| entry(row.merge(reason: 'counted')) })
    end

    # @return [Array<Core::Supply::Entry>] of one thing, the newest first
    def entries(kind, item)
      @database[:ledger].where(kind: kind.to_s, item: item).reverse(:id).all.map { |row| entry(row) }
    end

    # Writes all of these or none.
    # @param entries [Array<Core::Supply::Entry>]
    # @raise [Shortfall] when something would go below zero
    def post(entries)
      write do
        entries.reject { |entry| entry.quantity.zero? }.each do |entry|
          held = balance(entry)
          raise Shortfall.new(entry, held) if (held + entry.quantity).negative?

          @database[:ledger].insert(row(entry))
        end
        @database[:studio].update(supply_revision: Sequel[:supply_revision] + 1)
      end
    end

    # @return [Array<Core::Supply::Entry>] what a class has taken and not brought back, one for each thing
    def taken_by(class_id)
      rows = @database[:ledger].where(class_id: class_id, reason: TAKING).group(:kind, :item, :length_nm)
        .select(:kind, :item, :length_nm, Sequel.function(:sum, :quantity).as(:quantity)).all
      rows.reject { |row| row[:quantity].zero? }.map { |row| entry(row.merge(reason: 'taken', class_id: class_id)) }
    end

    # @return [Array<Integer>] ids of classes whose kits have left the stock
    def classes_served
      @database[:ledger].exclude(class_id: nil).where(reason: TAKING).group(:class_id, :kind, :item, :length_nm).having {
        sum(quantity) !~ 0
      }.select_map(:class_id).uniq
    end

    # @return [Hash{Integer=>Core::Supply::Stock}] what was bought for each class, by its id
    def bought
      @database[:ledger].exclude(class_id: nil).where(reason: 'received').order(:id).all.group_by { |row| row[:class_id] }
        .transform_values { |rows| Core::Supply::Stock.of(rows.map { |row| entry(row) }) }
    end

    # @return [Hash{String=>Date}] part key => the day its newest delivery came
    def lots_began
      newest = @database[:ledger].where(kind: 'part', reason: 'received').group(:item).select(:item, Sequel.function(:max, :id).as(:id))
      @database[:ledger].where(id: newest.map { |row| row[:id] }).select_hash(:item, :made_at).transform_values(&:to_date)
    end

    private

    def balance(entry)
      @database[:ledger].where(kind: entry.kind.to_s, item: entry.item, length_nm: entry.length&.nm || 0).sum(:quantity) || 0
    end

    def row(entry)
      {
        kind: entry.kind.to_s,
        item: entry.item,
        length_nm: entry.length&.nm || 0,
        quantity: entry.quantity,
        reason: entry.reason.to_s,
        note: entry.note,
        class_id: entry.class_id,
        made_at: Time.now.utc
      }
    end

    def entry(row)
      Core::Supply::Entry.new(kind: row[:kind].to_sym, item: row[:item], quantity: row[:quantity], reason: row[:reason].to_sym,
        note: row[:note].to_s,
        length: (Core::Measure::Length.new(row[:length_nm]) if row[:kind] == 'line'), class_id: row[:class_id], at: row[:made_at])
    end
  end
end
