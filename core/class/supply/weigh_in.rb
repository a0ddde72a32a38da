# frozen_string_literal: true

module Core
  module Supply
    # How many small beads lie on a scale.
    #
    # @param grams the middle reading
    # @param count the nearest whole number of beads
    # @param spread how many beads the readings lie apart
    WeighIn = Value.define(:grams, :count, :spread)

    class WeighIn
      # @param readings [Array<Integer>] milligrams, at least one @param mass [Float] milligrams of one bead
      # @return [WeighIn]
      def self.of(readings, mass)
        middle = readings.sort[readings.size / 2]
        new(grams: middle / 1000.0, count: [(middle / mass).round, 0].max, spread: ((readings.max - readings.min) / mass).ceil)
      end

      # @return [WeighIn] from a weight someone read themselves
      def self.grams(grams, mass)
        of([(grams * 1000).round], mass)
      end
    end
  end
end
