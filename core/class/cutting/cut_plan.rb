# frozen_string_literal: true

module Core
  module Cutting
    # How pieces of one line are cut.
    #
    # @param bars [Bar], those on hand first
    # @param bound no plan can do with fewer new reels
    # @param too_long pieces longer than anything there is or can be bought
    # @param unplaced pieces for which no reel's length is known
    # @param usable what is left of a bar is kept from this length on, below it is scrap
    CutPlan = Value.define(:bars, :bound, :too_long, :unplaced, :usable) do
      def new_reels
        bars.select(&:fresh?)
      end

      def on_hand
        bars.reject(&:fresh?)
      end

      def proven?
        new_reels.size == bound && unplaced.empty?
      end

      # @return [Integer] new reels there may be too many of
      def gap
        new_reels.size - bound
      end

      # @return [Array<Measure::Length>] worth keeping, longest first
      def offcuts
        bars.map(&:left).select { |left| left >= usable }.sort.reverse
      end

      # @return [Measure::Length] too short to keep, added up
      def scrap
        Measure::Length.sum(bars.map(&:left).select { |left| left < usable })
      end

      # @return [Hash{Measure::Length=>Integer}] reels to buy, by length
      def to_buy
        new_reels.map(&:length).tally
      end
    end
  end
end
