# frozen_string_literal: true

module Core
  module Supply
    # What is on the shelves.
    #
    # @param parts {part key => pieces}
    # @param lines {line key => {Measure::Length => bars of that length}}
    Stock = Value.define(parts: {}.freeze, lines: {}.freeze) do
      # @return [Integer]
      def part(key)
        parts.fetch(key, 0)
      end

      # @return [Hash{Measure::Length=>Integer}]
      def bars(key)
        lines.fetch(key, {})
      end

      # @param other [Stock] @return [Stock]
      def plus(other)
        with(parts: parts.merge(other.parts) { |_, mine, more|
          mine + more
        }, lines: lines.merge(other.lines) { |_, mine, more|
             mine.merge(more) { |_, one, two|
               one + two
             }
           })
      end

      # @param other [Stock] @return [Stock] which may go below zero
      def less(other)
        plus(other.with(parts: other.parts.transform_values(&:-@), lines: other.lines.transform_values { |bars|
          bars.transform_values(&:-@)
        }))
      end
    end

    class Stock
      # The sum of a ledger's entries: nothing else is the stock.
      # @param entries [Array<#kind, #item, #length, #quantity>]
      # @return [Stock] without what has come to nothing
      def self.of(entries)
        sums = entries.group_by { |entry|
          [entry.kind, entry.item, entry.length]
        }.transform_values { |same| same.sum(&:quantity) }.reject { |_, sum| sum.zero? }
        bars = sums.select { |(kind, *), _| kind == :line }.group_by { |(_, item, _), _| item }
        new(parts: sums.filter_map { |(kind, item, _), sum| [item, sum] if kind == :part }.to_h,
          lines: bars.transform_values { |same| same.to_h { |(_, _, length), sum| [length, sum] } })
      end
    end
  end
end
