# frozen_string_literal: true

module Core
  module Logbook
    # What held classes teach about the time of each technique: the logarithm of taken against planned minutes, as each class says it, is
    # normal about a value of the technique, with what one class has in common, what people differ, and chance beside it; before any class
    # that value is about none (conjugate normal model with known variances; Gelman et al., Bayesian Data Analysis, chapters 2 and 5). Few
    # tries move little.
    class TimeLearning
      # Spread of the logarithm of a technique's value before any class, from memory.
      BEFORE = 0.3

      # @param calibration [Setup::Calibration] @param between [Float] how much people of one level differ, as a coefficient of variation
      def initialize(calibration, between = calibration.between)
        @evening = calibration.evening**2
        @between = Session::Spread.sigma(1.0, between)**2
      end

      # @param said [Array<TimeSaid>]
      # @return [Array<LearnedValue>] of each technique that was tried, most tries first; values are factors of the time that is reckoned
      #   with now
      def lessons(said)
        said.group_by(&:technique).map { |technique, same| lesson(technique, same) }.sort_by { |lesson| [-lesson.number, lesson.about] }
      end

      private

      def lesson(technique, said)
        weights = said.map { |one| one.weight / (@evening + (@between / one.people) + one.variance) }
        precision = (1 / (BEFORE**2)) + weights.sum
        middle = said.zip(weights).sum { |one, weight| one.factor * weight } / precision
        reach = LearnedValue::REACH / Math.sqrt(precision)
        LearnedValue.new(about: technique, number: said.sum(&:tries), classes: said.map(&:session).uniq.size, value: Math.exp(middle),
          low: Math.exp(middle - reach), high: Math.exp(middle + reach))
      end
    end
  end
end
