# frozen_string_literal: true

module Core
  module Cutting
    # Sets of reels that some pieces may be cut from, as far as their lengths alone say.
    class ReelSets
      # Sets that are looked through for the cheapest.
      MOST = 20_000

      # @param pieces [Array<WantedCut>] longest first @param reel_lengths [Array<Measure::Length>] that can be bought, shortest first
      def initialize(pieces, reel_lengths)
        @longest = pieces.first.length
        @needed = Measure::Length.sum(pieces.map(&:length))
        @reel_lengths = reel_lengths
      end

      # @return [Array<Measure::Length>] that are chosen from: where reels are of many lengths, the longest of them, so many that their sets
      #   can be looked through
      def lengths
        @lengths ||= begin
          first = (0...@reel_lengths.size).find { |i|
            @reel_lengths.drop(i).reduce(1) { |sets, length| sets * (most_of(length) + 1) } <= MOST
          }
          @reel_lengths.drop(first || (@reel_lengths.size - 1))
        end
      end

      # @return [Array<Array<Measure::Length>>] sets that are long enough together, and one for the longest piece; the shortest sum first
      def all
        @all ||= begin
          counts = lengths.map { |length| (0..most_of(length)).to_a }
          sets = counts.first.product(*counts.drop(1)).map { |numbers|
            numbers.zip(lengths).flat_map { |number, length| [length] * number }
          }
          sets.select { |set| set.any? && Measure::Length.sum(set) >= @needed && set.last >= @longest }
            .sort_by { |set| [set.sum(&:nm), set.size] }
        end
      end

      private

      def most_of(length)
        (@needed / length).ceil + 1
      end
    end
  end
end
