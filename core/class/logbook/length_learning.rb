# frozen_string_literal: true

module Core
  module Logbook
    # How pieces of a project come out at their checkpoint against what was planned, in millimetres: normal with known spreads, about none
    # before any class (Gelman et al., Bayesian Data Analysis, chapters 2 and 5).
    class LengthLearning
      # Millimetres, from memory: of a project before any class, of what a class has in common, of one piece.
      BEFORE = 3.0
      IN_A_CLASS = 1.5
      WITHIN = 4.0

      # @param pieces [Array<LengthObservation>] @return [Array<LearnedValue>] of each project, most pieces first
      def lessons(pieces)
        pieces.group_by(&:project).map { |project, same| lesson(project, same) }.sort_by { |lesson| [-lesson.number, lesson.about] }
      end

      private

      def lesson(project, pieces)
        by_class = pieces.group_by(&:session).values
        weights = by_class.map { |same| same.first.weight / ((IN_A_CLASS**2) + ((WITHIN**2) / same.size)) }
        precision = (1 / (BEFORE**2)) + weights.sum
        middle = by_class.zip(weights).sum { |same, weight| weight * same.sum(&:by) / same.size } / precision
        reach = LearnedValue::REACH / Math.sqrt(precision)
        LearnedValue.new(about: project, number: pieces.size, classes: by_class.size, value: middle, low: middle - reach,
          high: middle + reach)
      end
    end
  end
end
