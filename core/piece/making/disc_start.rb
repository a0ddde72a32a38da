# frozen_string_literal: true

module Core
  module Making
    # How strands lie in the slots of a braiding disc before the first move, each with the number by which it is loaded: the order in which
    # they move. At each stop the left strand of the top pair goes down, the right one of the bottom pair goes up, and the disc is turned to
    # the next pair, always one way.
    #
    # @param strands an even number of pairs
    DiscStart = Value.define(:strands)

    class DiscStart
      SLOTS = 32
      # The first slot of each pair, the others half way round: pairs stand evenly, with the top one astride slots 32 and 1 (common
      # practice, no source).
      FIRST_SLOTS = { 8 => [32, 8], 12 => [32, 5, 11], 16 => [32, 4, 8, 12] }.freeze

      # Two strands in neighbouring slots, clockwise. left and right as seen when the pair is turned to the top.
      Pair = Value.define(:slots, :left, :right)

      # @return [Array<Pair>] clockwise from the top
      def pairs
        half = FIRST_SLOTS.fetch(strands)
        many = half.size
        upper = half.each_with_index.map { |slot, stop| pair(slot, left: (2 * stop) + 1, right: (2 * (stop + many)) + 2) }
        lower = half.each_with_index.map do |slot, stop|
          pair(slot + (SLOTS / 2), left: (2 * stop) + 2, right: (2 * (stop + many)) + 1)
        end
        upper + lower
      end

      private

      def pair(slot, left:, right:)
        Pair.new(slots: [slot, slot + 1].map { |one| ((one - 1) % SLOTS) + 1 }, left: left, right: right)
      end
    end
  end
end
