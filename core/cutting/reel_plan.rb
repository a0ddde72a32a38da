# frozen_string_literal: true

module Core
  module Cutting
    # How pieces of one line are cut from new reels. reels: for each reel its pieces, longest first
    # bound: no plan can do with fewer reels · too_long: pieces longer than a reel, which are in no reel
    ReelPlan = Value.define(:reel_length, :reels, :bound, :too_long) do
      def proven?
        reels.size == bound
      end

      # @param pieces [Array<Piece>] of one reel @return [Measure::Length]
      def left(pieces)
        reel_length - Measure::Length.sum(pieces.map(&:length))
      end
    end
  end
end
