# frozen_string_literal: true

module Core
  module Making
    # What a construction may know of who makes and wears it.
    #
    # @param tails :lean, :usual or :generous
    # @param by_line {line key => policy}, which goes before
    # @param measure of the body, nil when it is not known
    # @param wraps times round it
    Maker = Value.define(tails: :usual, by_line: {}.freeze, measure: nil, wraps: 1, swatches: [].freeze) do
      # @param line [Catalogue::Line] @return [Symbol]
      def tails_on(line)
        by_line.fetch(line.key, tails)
      end
    end

    class Maker
      # Beginners get generous tails, for hands that need them (common practice, no source).
      # @param policy [Symbol] a project's choice: :by_level, :lean, :usual or :generous
      # @param own [Symbol, nil] what this person gets on every line @param by_line [Hash{String=>Symbol}] what everyone gets on one line
      def self.at(level, policy, own: nil, by_line: {})
        return new(tails: own) if own

        new(tails: policy == :by_level ? (level == 1 ? :generous : :usual) : policy, by_line: by_line)
      end
    end
  end
end
