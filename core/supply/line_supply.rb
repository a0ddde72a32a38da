# frozen_string_literal: true

module Core
  module Supply
    # Where one line of a class comes from. cuts: Cutting::CutPlan from what is free and from new reels
    # reserved: {Measure::Length => bars} claimed by classes planned before · claimed_by: their keys
    LineSupply = Value.define(:line, :cuts, :reserved, :claimed_by) do
      # @return [Hash{Measure::Length=>Integer}] reels to buy
      def short
        cuts.to_buy
      end

      def beaten?
        short.any? && reserved.values.any?(&:positive?)
      end

      # @return [Hash{Measure::Length=>Integer}] bars this class opens
      def opened
        cuts.on_hand.map(&:length).tally
      end
    end
  end
end
