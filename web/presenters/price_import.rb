# frozen_string_literal: true

module Web
  module Presenters
    # A supplier's price list that was read: what is sure, what is doubtful, what is wrong, until it is confirmed or left.
    class PriceImport
      SHOWN = 200

      attr_reader :list, :supplier

      # @param list [Formats::PriceList]
      def initialize(list, supplier, table)
        @list = list
        @supplier = supplier
        @table = table
      end

      def list_problem
        list.problem && Formats::Wording.say("price_list.#{list.problem.first}", **(list.problem[1] || {}))
      end

      def sure
        list.of(:sure)
      end

      def doubtful
        list.of(:doubtful).first(SHOWN)
      end

      def unknown
        list.of(:none).first(SHOWN)
      end

      def wrong
        list.wrong.first(SHOWN)
      end

      def sure_shown
        sure.first(SHOWN)
      end

      def content(row, unit)
        Formats::OfferText.content(row.offer, unit)
      end

      def problem(row)
        Formats::Wording.say("price_list.#{row.problem.first}", **row.problem.last)
      end

      # @return [Array<(String, String)>] keys and names to choose from for one row
      def choices(row)
        (row.offer.kind == :line ? @table.lines : @table.parts).values.map { |item| [item.key, item.name] }
      end

      def item_name(row)
        (row.offer.kind == :line ? @table.lines : @table.parts)[row.offer.item]&.name
      end

      # @param chosen [Hash{String=>String}] item keys for rows that were not sure, by line number
      # @return [Array<Core::Supply::Offer>]
      def offers(chosen)
        picked = (doubtful + unknown).filter_map do |row|
          key = chosen[row.line.to_s]
          row.offer.with(item: key) if key.is_a?(String) && choices(row).any? { |known, _| known == key }
        end
        sure.map(&:offer) + picked
      end
    end
  end
end
