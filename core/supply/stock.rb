# frozen_string_literal: true

module Core
  module Supply
    # What is on the shelves. parts: {part key => pieces} · lines: {line key => {Measure::Length => bars of that length}}
    Stock = Value.define(parts: {}.freeze, lines: {}.freeze) do
      # @return [Integer]
      def part(key)
        parts.fetch(key, 0)
      end

      # @return [Hash{Measure::Length=>Integer}]
      def bars(key)
        lines.fetch(key, {})
      end

      # @return [Stock] without what a class has claimed
      def less(parts_taken, bars_taken)
        Stock.new(parts: parts.merge(parts_taken) { |_, held, taken| held - taken },
                  lines: bars_taken.reduce(lines) { |all, (key, taken)| all.merge(key => bars(key).merge(taken) { |_, held, gone| held - gone }) })
      end
    end

    class Stock
      # The sum of a ledger's entries: nothing else is the stock.
      # @param entries [Array<#kind, #item, #length, #quantity>]
      # @return [Stock] without what has come to nothing
      def self.of(entries)
        sums = entries.group_by { |entry| [entry.kind, entry.item, entry.length] }.transform_values { |same| same.sum(&:quantity) }.reject { |_, sum| sum.zero? }
        bars = sums.select { |(kind, *), _| kind == :line }.group_by { |(_, item, _), _| item }
        new(parts: sums.filter_map { |(kind, item, _), sum| [item, sum] if kind == :part }.to_h,
            lines: bars.transform_values { |same| same.to_h { |(_, _, length), sum| [length, sum] } })
      end
    end
  end
end
