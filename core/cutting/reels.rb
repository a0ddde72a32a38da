# frozen_string_literal: true

module Core
  module Cutting
    # Cuts pieces from as few reels of one length as can be, and says whether fewer are impossible.
    #
    # First fit decreasing first; where the sum of lengths does not prove it best, the linear bound over cutting patterns
    # (Gilmore and Gomory, "A linear programming approach to the cutting-stock problem", Operations Research 9, 1961),
    # and that solution rounded, what is left over packed anew.
    module Reels
      module_function

      # @param pieces [Array<Piece>] @param reel_length [Measure::Length]
      # @return [ReelPlan] every piece that fits a reel stands in exactly one
      def plan(pieces, reel_length)
        fitting, too_long = pieces.partition { |piece| piece.length <= reel_length }
        reels, bound = solve(fitting.sort_by { |piece| -piece.length }, reel_length)
        ReelPlan.new(reel_length: reel_length, reels: reels, bound: bound, too_long: too_long)
      end

      # @return [Array(Array<Array<Piece>>, Integer)] reels and their lower bound
      def solve(pieces, reel_length)
        return [[], 0] if pieces.empty?

        first = first_fit(pieces, reel_length)
        by_sum = (Measure::Length.sum(pieces.map(&:length)) / reel_length).ceil
        return [first, by_sum] if first.size == by_sum

        relaxed = PatternProgram.new(pieces.map { |piece| piece.length.nm }.tally, reel_length.nm).solve
        bound = [by_sum, (relaxed.value - 1e-6).ceil].max
        return [first, bound] if first.size == bound

        [[first, rounded(pieces, reel_length, relaxed)].min_by(&:size), bound]
      end

      # @param pieces [Array<Piece>] longest first
      def first_fit(pieces, reel_length)
        room = []
        pieces.each_with_object([]) do |piece, reels|
          at = room.index { |left| left >= piece.length } || reels.size
          (reels[at] ||= []) << piece
          room[at] = (room[at] || reel_length) - piece.length
        end
      end

      # Whole patterns of the relaxed solution, then first fit for the rest; each way of rounding down or up is tried.
      def rounded(pieces, reel_length, relaxed)
        [0.0, 0.3, 0.5, 0.7].map { |lift| cut_out(pieces, reel_length, relaxed, lift) }.min_by(&:size)
      end

      def cut_out(pieces, reel_length, relaxed, lift)
        waiting = pieces.group_by { |piece| piece.length.nm }.transform_values(&:dup)
        reels = relaxed.patterns.sort_by { |_, times| -times }.flat_map do |pattern, times|
          Array.new((times + lift).floor) { pattern.flat_map { |length, count| waiting[length].shift(count) } }
        end
        left = waiting.values.flatten.sort_by { |piece| -piece.length }
        refill(reels.reject(&:empty?), left, reel_length)
      end

      # Puts what is left where there is room, then on new reels.
      def refill(reels, left, reel_length)
        homeless = left.reject do |piece|
          reel = reels.find { |pieces| Measure::Length.sum(pieces.map(&:length)) + piece.length <= reel_length }
          reel << piece if reel
        end
        (reels + first_fit(homeless, reel_length)).map { |reel| reel.sort_by { |piece| -piece.length } }
      end
      private_class_method :solve, :first_fit, :rounded, :cut_out, :refill
    end
  end
end
