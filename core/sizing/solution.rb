# frozen_string_literal: true

module Core
  module Sizing
    # One way to meet a target with whole units. deviation: made length minus target, negative when short.
    # options: the other ways within reach, best first, each a Solution without options of its own
    Solution = Value.define(:repeats, :fillers, :length, :deviation, :target, options: [].freeze) do
      # @return [Array] what is made, whatever length was asked for
      def made
        [repeats, fillers, length.nm]
      end

      # @return [Solution] the best of the others, which has this one among its own
      def next_best
        options.first.with(options: [with(options: [].freeze), *options.drop(1)].freeze)
      end
    end
  end
end
