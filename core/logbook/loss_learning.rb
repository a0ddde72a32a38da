# frozen_string_literal: true

module Core
  module Logbook
    # How often parts of each kind are lost, learnt from the spares that classes used. What is lost of so many uses is Poisson about its rate;
    # before any class the rate is gamma about the value from memory (conjugate; Gelman et al., Bayesian Data Analysis, chapter 2). Few
    # uses move little.
    class LossLearning
      # So many uses count as much as the value from memory (from memory).
      BEFORE = 60.0

      # uses, lost, classes: how many · rate: of uses that are lost, and where it lies with a chance of 8 in 10
      Lesson = Value.define(:kind, :uses, :lost, :classes, :rate, :low, :high)

      # @param tallies [Array<Lost>] @return [Array<Lesson>] of each kind, most uses first
      def lessons(tallies)
        tallies.group_by(&:kind).map { |kind, same| lesson(kind, same) }.sort_by { |lesson| [-lesson.uses, lesson.kind] }
      end

      # @param shape [Float] @param normal [Float] the same quantile of the normal distribution
      # @return [Float] about a gamma distribution's quantile (Wilson and Hilferty, Proceedings of the National Academy of Sciences 17, 1931)
      def self.quantile(shape, normal)
        part = 1 / (9.0 * shape)
        shape * ([1 - part + (normal * Math.sqrt(part)), 0.0].max**3)
      end

      private

      def lesson(kind, tallies)
        uses, lost = tallies.sum(&:uses), tallies.sum(&:lost)
        shape = (Bill::Loss.usual(kind) * BEFORE) + lost
        weight = BEFORE + uses
        low, high = [-1, 1].map { |side| LossLearning.quantile(shape, side * Session::ProjectTime::EIGHT_OF_TEN) / weight }
        classes = tallies.map(&:session).uniq.size
        Lesson.new(kind: kind, uses: uses, lost: lost, classes: classes, rate: shape / weight, low: low, high: high)
      end
    end
  end
end
