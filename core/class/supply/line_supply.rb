# frozen_string_literal: true

module Core
  module Supply
    # Where one line of a class comes from.
    #
    # @param cuts Cutting::CutPlan from what is free or due and from new reels
    # @param reserved {Measure::Length => bars} for other classes
    # @param claimed_by keys of classes that took first
    # @param choice Cutting::Reels::Choice, other ways to buy for the same cuts, nil where there is nothing to choose
    # @param free {Measure::Length => bars} on the shelf for this class
    # @param due the same, ordered for it and still to come
    LineSupply = Value.define(:line, :cuts, :reserved, :claimed_by, free: {}.freeze, due: {}.freeze, choice: nil) do
      # @return [Hash{Measure::Length=>Integer}] reels to buy
      def short
        cuts.to_buy
      end

      # @param plan [Cutting::CutPlan] @return [Float] minor units that its scrap brings, by weight; 0 where it is thrown away
      def scrap_brings(plan = cuts)
        grams = line.scrap_price && Catalogue::Mass.of_length(line, plan.scrap)&./(1000)
        grams ? grams * line.scrap_price : 0
      end

      # @return [Boolean] whether it might not be short but for other classes
      def short_for_others?
        short.any? && reserved.values.any?(&:positive?)
      end

      # @return [Hash{Measure::Length=>Integer}] bars that the cuts are made from, new reels not counted
      def opened
        cuts.on_hand.map(&:length).tally
      end

      # @return [Hash{Measure::Length=>Integer}] of those, the ones that lie on the shelf
      def from_stock
        opened.to_h { |length, count| [length, [count, free.fetch(length, 0)].min] }.select { |_, count| count.positive? }
      end
    end
  end
end
