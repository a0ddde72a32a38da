# frozen_string_literal: true

module Core
  module Cutting
    # The linear program over cutting patterns, solved by column generation: a pattern joins only when it would pay.
    # Gilmore and Gomory, Operations Research 9 (1961); each mix of the patterns known so far by LinearProgram.
    # Bars on hand are free but few, new reels cost one each.
    class PatternProgram
      # @param value new reels, not whole
      # @param patterns [(bar length, on hand, {length => count}, times)]
      Relaxed = Value.define(:value, :patterns)

      MOST_COLUMNS = 2000
      PAYS = 1e-7

      # A way to cut one bar. source: index into @sources · counts: of each length
      Column = Struct.new(:source, :counts)

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
        @columns = single_lengths
      end

      # @return [Relaxed]
      def solve
        answer = best_mix
        while @columns.size < MOST_COLUMNS && (paying = paying_columns(answer.prices)).any?
          @columns.concat(paying)
          answer = best_mix
        end
        Relaxed.new(value: answer.value, patterns: patterns(answer.values))
      end

      private

      # As many of one length as a reel holds: with these everything can be cut.
      def single_lengths
        @sizes.each_index.map { |i| Column.new(0, @sizes.each_index.map { |j| i == j ? @rooms.first / @sizes[i] : 0 }) }
      end

      # How often each pattern known so far is cut: everything wanted at least as often as wanted, no bar on hand that is not there.
      def best_mix
        wanted = @demands.each_with_index.map { |number, i| LinearProgram::Row.new(cells: cells(i), least: number) }
        limits = @sources.drop(1).each_with_index.map { |(_, bars), i| LinearProgram::Row.new(cells: cells(@demands.size + i), most: bars) }
        LinearProgram.solve(costs: @columns.map { |column| column.source.zero? ? 1 : 0 }, rows: wanted + limits)
      end

      # Rows of the program: a length each, then a kind of bar on hand each.
      def cells(row)
        @columns.each_with_index.to_h { |column, i| [i, entries(column)[row]] }.reject { |_, entry| entry.zero? }
      end

      # @param prices [Array<Float>] of the program's rows @return [Array<Column>] of each source the best, where it pays
      def paying_columns(prices)
        worth, taken = fillings(prices)
        @sources.each_index.filter_map do |source|
          gain = worth[@rooms[source]] + (source.zero? ? -1 : prices[@sizes.size + source - 1])
          Column.new(source, trace(taken, @rooms[source])) if gain > PAYS
        end
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

      def patterns(times)
        @columns.zip(times).reject { |column, number| number < PAYS || column.counts.all?(&:zero?) }.map do |column, number|
          counts = @lengths.zip(column.counts).reject { |_, count| count.zero? }.to_h
          [@sources[column.source].first, column.source.positive?, counts, number]
        end
      end
    end
  end
end
