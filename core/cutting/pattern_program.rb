# frozen_string_literal: true

module Core
  module Cutting
    # The linear program over cutting patterns, solved by column generation: a pattern joins only when it would pay.
    # Gilmore and Gomory, Operations Research 9 (1961). Bars on hand are free but few, new reels cost one each.
    class PatternProgram
      # value: new reels, not whole · patterns: [(bar length, on hand, {length => count}, times)]
      Relaxed = Value.define(:value, :patterns)

      MOST_COLUMNS = 2000
      PAYS = 1e-7

      # A way to cut one bar. source: index into @sources, nil for the slack of a source that runs out
      Column = Struct.new(:source, :counts, :cost)

      # @param demands [Hash{Integer=>Integer}] length => pieces wanted; no length above the reel's
      # @param reel [Integer] length of a new reel, in the same unit
      # @param on_hand [Hash{Integer=>Integer}] length => bars
      def initialize(demands, reel, on_hand = {})
        @lengths = demands.keys.sort.reverse
        @demands = @lengths.map { |length| demands[length] }
        @grid = @lengths.reduce(:gcd)
        @sizes = @lengths.map { |length| length / @grid }
        @sources = [[reel, nil], *on_hand.select { |length, _| length >= @lengths.last }.to_a]
        @rooms = @sources.map { |length, _| length / @grid }
      end

      # @return [Relaxed]
      def solve
        begin_with_single_lengths
        MOST_COLUMNS.times { enter(paying_column || break) }
        Relaxed.new(value: @basis.zip(@times).sum { |column, times| column.cost * times }, patterns: patterns)
      end

      private

      # As many of one length as a reel holds, and every bar on hand left alone: a basis whose inverse is plain.
      def begin_with_single_lengths
        each = @sizes.map { |size| @rooms.first / size }
        limits = @sources.drop(1).map(&:last)
        @basis = each.each_index.map { |i| Column.new(0, each.each_index.map { |j| i == j ? each[i] : 0 }, 1.0) } + limits.map {
          Column.new(nil, [0] * each.size, 0.0)
        }
        size = each.size + limits.size
        @inverse = Array.new(size) { |i| Array.new(size) { |j| i == j ? 1.0 / (each[i] || 1) : 0.0 } }
        @times = @demands.zip(each).map { |demand, count| demand.fdiv(count) } + limits.map(&:to_f)
      end

      # @return [(Column, Array<Float>), nil] the column that pays most, with its entries; nil when none does
      def paying_column
        prices = dual_prices
        worth, taken = fillings(prices)
        gains = @sources.each_index.map { |source| worth[@rooms[source]] + limit_price(prices, source) - (source.zero? ? 1 : 0) }
        best = gains.each_index.max_by { |source| gains[source] }
        return [column = Column.new(best, trace(taken, @rooms[best]), best.zero? ? 1.0 : 0.0), entries(column)] if gains[best] > PAYS

        returning_slack(prices)
      end

      # A bar on hand that is forced into use may be left alone again.
      def returning_slack(prices)
        source = (1...@sources.size).find { |index| limit_price(prices, index) > PAYS } or return
        [Column.new(nil, [0] * @sizes.size, 0.0), Array.new(@basis.size) { |row| row == @sizes.size + source - 1 ? 1 : 0 }]
      end

      def dual_prices
        costs = @basis.map(&:cost)
        @inverse.first.each_index.map { |j| costs.each_index.sum { |i| costs[i].zero? ? 0.0 : costs[i] * @inverse[i][j] } }
      end

      def limit_price(prices, source)
        source.zero? ? 0.0 : prices[@sizes.size + source - 1]
      end

      def entries(column)
        column.counts + (1...@sources.size).map { |source| column.source == source ? 1 : 0 }
      end

      # The fillings worth most at these prices for every room up to the longest, no length more often than it is wanted
      # (bounded knapsack over the grid).
      def fillings(prices)
        longest = @rooms.max
        worth = Array.new(longest + 1, 0.0)
        taken = Array.new(@sizes.size)
        @sizes.each_with_index do |size, i|
          next if prices[i] <= PAYS

          before = worth
          taken[i] = Array.new(longest + 1, 0)
          worth = before.dup
          fill(worth, before, taken[i], size, prices[i], @demands[i])
        end
        [worth, taken]
      end

      def fill(worth, before, taken, size, price, demand)
        most = [demand, (worth.size - 1) / size].min
        (size...worth.size).each do |room|
          count = 1
          while count <= most && (at = room - (count * size)) >= 0
            value = before[at] + (count * price)
            if value > worth[room] + 1e-12
              worth[room] = value
              taken[room] = count
            end
            count += 1
          end
        end
      end

      def trace(taken, room)
        (@sizes.size - 1).downto(0).each_with_object(Array.new(@sizes.size, 0)) do |i, counts|
          counts[i] = taken[i] ? taken[i][room] : 0
          room -= counts[i] * @sizes[i]
        end
      end

      # One pivot of the revised simplex method.
      def enter(paying)
        fresh, coefficients = paying
        column = @inverse.map { |row| row.each_with_index.sum { |entry, i| entry * coefficients[i] } }
        leaving = column.each_index.select { |i| column[i] > 1e-9 }.min_by { |i| @times[i] / column[i] } or return
        pivot = column[leaving]
        @inverse[leaving] = @inverse[leaving].map { |entry| entry / pivot }
        step = @times[leaving] / pivot
        column.each_index do |i|
          next if i == leaving || column[i].zero?

          @inverse[i] = @inverse[i].each_with_index.map { |entry, j| entry - (column[i] * @inverse[leaving][j]) }
          @times[i] -= column[i] * step
        end
        @times[leaving] = step
        @basis[leaving] = fresh
      end

      def patterns
        @basis.zip(@times).reject { |column, times|
          column.source.nil? || times < PAYS || column.counts.all?(&:zero?)
        }.map do |column, times|
          [@sources[column.source].first,
           column.source.positive?,
           @lengths.zip(column.counts).reject { |_, count|
             count.zero?
           }.to_h,
           times]
        end
      end
    end
  end
end
