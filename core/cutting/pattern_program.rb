# frozen_string_literal: true

module Core
  module Cutting
    # The linear program over cutting patterns, solved by column generation: a pattern joins only when it would pay.
    # Gilmore and Gomory, Operations Research 9 (1961).
    class PatternProgram
      # value: reels, not whole · patterns: [({length => count}, times)]
      Relaxed = Value.define(:value, :patterns)

      MOST_COLUMNS = 2000
      PAYS = 1e-7

      # @param demands [Hash{Integer=>Integer}] length => pieces wanted; no length above the reel's
      # @param reel [Integer] in the same unit
      def initialize(demands, reel)
        @lengths = demands.keys.sort.reverse
        @demands = @lengths.map { |length| demands[length] }
        @grid = [reel, *@lengths].reduce(:gcd)
        @reel = reel / @grid
        @sizes = @lengths.map { |length| length / @grid }
      end

      # @return [Relaxed]
      def solve
        begin_with_single_lengths
        MOST_COLUMNS.times do
          prices = @inverse.transpose.map(&:sum)
          pattern = best_pattern(prices)
          break if pattern.each_with_index.sum { |count, i| count * prices[i] } <= 1 + PAYS

          enter(pattern)
        end
        Relaxed.new(value: @times.sum, patterns: @basis.zip(@times).reject { |_, times| times < PAYS }.map { |pattern, times| [told(pattern), times] })
      end

      private

      # As many of one length as a reel holds: a basis whose inverse is plain.
      def begin_with_single_lengths
        each = @sizes.map { |size| @reel / size }
        @basis = each.each_index.map { |i| each.each_index.map { |j| i == j ? each[i] : 0 } }
        @inverse = each.each_index.map { |i| each.each_index.map { |j| i == j ? 1.0 / each[i] : 0.0 } }
        @times = @demands.zip(each).map { |demand, count| demand.fdiv(count) }
      end

      # The pattern worth most at these prices, no length more often than it is wanted (bounded knapsack over the grid).
      # @return [Array<Integer>]
      def best_pattern(prices)
        worth = Array.new(@reel + 1, 0.0)
        taken = Array.new(@sizes.size) { nil }
        @sizes.each_with_index do |size, i|
          next if prices[i] <= PAYS

          before = worth
          taken[i] = Array.new(@reel + 1, 0)
          worth = before.dup
          most = [@demands[i], @reel / size].min
          (size..@reel).each do |room|
            (1..[most, room / size].min).each do |count|
              value = before[room - (count * size)] + (count * prices[i])
              next unless value > worth[room] + 1e-12

              worth[room] = value
              taken[i][room] = count
            end
          end
        end
        trace(taken)
      end

      def trace(taken)
        room = @reel
        (@sizes.size - 1).downto(0).each_with_object(Array.new(@sizes.size, 0)) do |i, pattern|
          pattern[i] = taken[i] ? taken[i][room] : 0
          room -= pattern[i] * @sizes[i]
        end
      end

      # One pivot of the revised simplex method.
      def enter(pattern)
        column = @inverse.map { |row| row.each_with_index.sum { |entry, i| entry * pattern[i] } }
        leaving = column.each_index.select { |i| column[i] > 1e-9 }.min_by { |i| @times[i] / column[i] } or return
        pivot = column[leaving]
        @inverse[leaving] = @inverse[leaving].map { |entry| entry / pivot }
        step = @times[leaving] / pivot
        column.each_index do |i|
          next if i == leaving

          @inverse[i] = @inverse[i].each_with_index.map { |entry, j| entry - (column[i] * @inverse[leaving][j]) }
          @times[i] -= column[i] * step
        end
        @times[leaving] = step
        @basis[leaving] = pattern
      end

      def told(pattern)
        @lengths.zip(pattern).reject { |_, count| count.zero? }.to_h
      end
    end
  end
end
