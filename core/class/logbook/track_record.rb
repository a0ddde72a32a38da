# frozen_string_literal: true

module Core
  module Logbook
    # Whether what is told comes true: chances that were told, beside what came of them.
    class TrackRecord
      # With fewer classes nothing is said.
      LEAST = 10
      # Bounds of the groups in which chances are counted.
      BOUNDS = [0.0, 0.25, 0.5, 0.75, 0.9, 1.0].freeze

      # Classes that were told about the same.
      #
      # @param told chance on average
      # @param classes how many
      # @param came in how many all finished in time
      # @param low where the share that comes true lies with a chance of 8 in 10
      # @param high see low
      Row = Value.define(:told, :classes, :came, :low, :high) do
        def share
          came.fdiv(classes)
        end
      end

      # @param known [Array<(Float, Boolean)>] chances that were told, and whether they came true
      def initialize(known)
        @known = known
      end

      # @param held [Array<HeldClass>]
      def self.of(held)
        new(held.map { |one| [one.told, one.came_true] }.reject { |pair| pair.any?(&:nil?) })
      end

      # @return [Integer] classes of which both is known
      def size
        @known.size
      end

      def enough?
        size >= LEAST
      end

      # @return [Array<Row>] from the least chance to the best
      def rows
        groups = @known.group_by { |one| BOUNDS.each_cons(2).find_index { |_, to| one.first < to } || (BOUNDS.size - 2) }
        groups.sort.map { |_, same| row(same) }
      end

      # @return [Float, nil] mean of squared differences (G. Brier, Monthly Weather Review 78, 1950); 0 is best, 0.25 is what 50 of 100
      #   always comes to
      def brier
        @known.sum { |told, came| (told - (came ? 1 : 0))**2 } / size if size.positive?
      end

      private

      def row(same)
        came = same.count(&:last)
        low, high = ShareRange.of(came, same.size)
        Row.new(told: same.sum(&:first) / same.size, classes: same.size, came: came, low: low, high: high)
      end
    end
  end
end
