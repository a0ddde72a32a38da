# frozen_string_literal: true

module Web
  module Presenters
    # One entry of the ledger, as typed: something received, counted, weighed or adjusted.
    class EntryForm < Form
      ACTIONS = { part: %w[received counted weighed adjusted], line: %w[received counted adjusted] }.freeze

      # @param stock_item [StockItem]
      def initialize(stock_item, params)
        @stock_item = stock_item
        super(typed(params, %w[reason quantity length note]),
          Contracts::EntryContract.new(reasons: ACTIONS.fetch(stock_item.kind), long: stock_item.line?, mass: stock_item.mass))
      end

      # @param now [StockItem] as it is within the transaction that writes
      # @return [Core::Supply::Entry] whose quantity may be zero when a count agrees
      def entry(now)
        @stock_item = now
        held = @stock_item.line? ? @stock_item.bars.fetch(bar, 0) : @stock_item.balance
        Core::Supply::Entry.new(kind: @stock_item.kind, item: @stock_item.item.key, length: (bar if @stock_item.line?),
          quantity: change(held), reason: value(:reason).to_sym, note: value(:note))
      end

      # @param error [Store::Shortfall]
      def refuse(error)
        @errors = { quantity: "That would go below zero: #{error.held} on the shelf. Count it first, or take less." }
        self
      end

      private

      def change(held)
        case value(:reason)
        when 'counted' then number - held
        when 'weighed' then Core::Supply::WeighIn.grams(value(:quantity).tr(',', '.').to_f, @stock_item.mass).count - held
        else number
        end
      end

      def number
        value(:quantity).tr("\u2212", '-').to_i
      end

      def bar
        @bar ||= Core::Measure::Length.parse(value(:length), default_unit: :mm)
      end
    end
  end
end
