# frozen_string_literal: true

module Core
  module Making
    # One way to meet a target with whole units.
    #
    # @param deviation made length minus target, negative when short.
    # @param other_ways Lazy of [Solution], those within reach, best first, each without other ways of its own
    Solution = Value.define(:repeats, :fillers, :length, :deviation, :target, other_ways: Lazy::NOTHING) do
      # @return [Array<Solution>]
      def options
        other_ways.value
      end

      # @param target [Measure::Length] @param repeats [Integer]
      # @return [Solution] of what meets any length: exactly so long, with no other way
      def stretched_to(target, repeats: self.repeats)
        with(repeats: repeats, length: target, deviation: Measure::Length::ZERO, other_ways: Lazy::NOTHING)
      end

      # @return [Array] the piece made, without the length that was asked for
      def made
        [repeats, fillers, length.nm]
      end

      # @return [Solution] the best of the others, which has this one among its own
      def next_best
        options.first.with(other_ways: Lazy.new { [with(other_ways: Lazy::NOTHING), *options.drop(1)] })
      end
    end
  end
end
