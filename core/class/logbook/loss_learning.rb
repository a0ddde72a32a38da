# frozen_string_literal: true

module Core
  module Logbook
    # How often parts of each kind are lost, learnt from the spares that classes used. What is lost of so many uses is Poisson about its
    # rate; before any class the rate is gamma about the value from memory (conjugate; Gelman et al., Bayesian Data Analysis, chapter 2).
    # Few uses move little.
    class LossLearning
      # So many uses count as much as the value from memory (from memory).
      BEFORE = 60.0

      # @param tallies [Array<Lost>] @return [Array<LearnedValue>] of each kind, most uses first; values are shares of uses
      def lessons(tallies)
        tallies.group_by(&:kind).map { |kind, same| lesson(kind, same) }.sort_by { |lesson| [-lesson.number, lesson.about] }
      end

      private

      def lesson(kind, tallies)
        shape = (Materials::Loss.usual(kind) * BEFORE) + tallies.sum { |tally| tally.lost * tally.weight }
        weight = BEFORE + tallies.sum { |tally| tally.uses * tally.weight }
        low, high = [-1, 1].map { |side| Gamma.quantile(shape, side * LearnedValue::REACH) / weight }
        LearnedValue.new(about: kind, number: tallies.sum(&:uses), seen: tallies.sum(&:lost), classes: tallies.map(&:session).uniq.size,
          value: shape / weight, low: low, high: high)
      end
    end
  end
end
