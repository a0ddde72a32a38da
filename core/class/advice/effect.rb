# frozen_string_literal: true

module Core
  module Advice
    # What a cure changes for one person. before, after: OwnPiece
    Effect = Value.define(:cure, :before, :after) do
      # @return [Boolean] whether it puts a finding right, and nothing else wrong
      def cures?(finding)
        after.findings.none? { |other| other.worth_a_look? && other.key == finding.key } && (wrong(after) - wrong(before)).empty?
      end

      # @param market [Supply::Market] @return [Money, nil] how much more one person's costs; nil where something that changes has no price
      def cost(market)
        prices = changes.to_h { |item, _| [item, market.unit_cost(item)] }
        return if prices.value?(nil)

        market.money(changes.sum { |item, more| prices[item] * more }.round)
      end

      # @return [Hash{Catalogue::Part, Catalogue::Line => Integer}] how many more pieces of each part, and nanometres of each line
      def changes
        was, now = amounts(before), amounts(after)
        (was.keys | now.keys).to_h { |item| [item, now.fetch(item, 0) - was.fetch(item, 0)] }.reject { |_, more| more.zero? }
      end

      private

      def wrong(own)
        own.findings.select(&:wrong?).map(&:key)
      end

      # @return [Hash{Catalogue::Part, Catalogue::Line => Integer}] pieces of parts, nanometres of lines
      def amounts(own)
        own.needs.to_h { |need| [need.part, need.count] }
          .merge(own.cuts.group_by(&:line).transform_values { |cuts| cuts.sum { |cut| cut.total.nm } })
      end
    end
  end
end
