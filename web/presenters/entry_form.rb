# frozen_string_literal: true

module Web
  module Presenters
    # One entry of the ledger, as typed: something received, counted, weighed or adjusted.
    class EntryForm
      include Fields

      ACTIONS = { part: %w[received counted weighed adjusted], line: %w[received counted adjusted] }.freeze
      MOST = 1_000_000
      LONGEST_M = 1000

      # @param stock_item [StockItem]
      def initialize(stock_item, params)
        @stock_item = stock_item
        @values = %w[reason quantity length note].to_h { |name| [name, clean(params[name])] }
        @errors = check
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

      def check
        { reason: reason_problem, quantity: quantity_problem, length: length_problem, note: note_problem }.compact
      end

      def reason_problem
        'Choose what happened.' unless ACTIONS.fetch(@stock_item.kind).include?(value(:reason))
      end

      def quantity_problem
        text = value(:quantity)
        case value(:reason)
        when 'weighed'
          return 'The weight of one is not known. Enter it with the part, or weigh ten and divide.' if @stock_item.mass.nil?

          'Give grams, such as 12.4.' unless text.match?(/\A\d{1,6}([.,]\d{1,3})?\z/)
        when 'adjusted' then 'Give how many more or fewer, such as -3.' unless text.match?(/\A[-+\u2212]?\d{1,7}\z/) && !number.zero? && number.abs <= MOST
        else 'Give a whole number, such as 25.' unless text.match?(/\A\d{1,7}\z/) && number <= MOST && (number.positive? || value(:reason) == 'counted')
        end
      end

      def length_problem
        return unless @stock_item.line?

        "Give the length of each, up to #{LONGEST_M} m, such as 10 m." unless bar.positive? && bar.to_mm <= LONGEST_M * 1000
      rescue Core::Measure::NotALength
        'Give the length of each with its unit, such as 10 m or 620 mm.'
      end

      def note_problem
        return 'Shorten this to 200 characters.' if value(:note).length > 200

        'Say why, so that you know later.' if value(:reason) == 'adjusted' && value(:note).empty?
      end
    end
  end
end
