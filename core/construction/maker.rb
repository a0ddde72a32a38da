# frozen_string_literal: true

module Core
  module Construction
    # What a construction may know of who makes it. tails: :lean, :usual or :generous
    Maker = Value.define(level: 3, tails: :usual)

    class Maker
      # Beginners get generous tails, for hands that need them (common practice, no source).
      # @param policy [Symbol] a project's choice, one of Project::Design::TAILS
      def self.at(level, policy)
        new(level: level, tails: policy == :by_level ? (level == 1 ? :generous : :usual) : policy)
      end
    end
  end
end
