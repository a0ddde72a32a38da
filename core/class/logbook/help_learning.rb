# frozen_string_literal: true

module Core
  module Logbook
    # How often people call for help, against what was planned: calls are Poisson about a factor of what was expected; before any class the
    # factor is gamma about 1 (conjugate; Gelman et al., Bayesian Data Analysis, chapter 2).
    class HelpLearning
      # So many expected calls count as much as the value from memory (from memory).
      BEFORE = 10.0
      MOST = 1.0

      # @param calibration [Setup::Calibration]
      def initialize(calibration)
        @help = calibration.help
      end

      # @param calls [Array<Calls>] @return [LearnedValue, nil] its value is the chance of a call where all is new
      def lesson(calls)
        return if calls.empty?

        shape = BEFORE + calls.sum { |one| one.called * one.weight }
        weight = BEFORE + calls.sum { |one| one.expected * one.weight }
        low, middle, high = [Gamma.quantile(shape, -LearnedValue::REACH), shape, Gamma.quantile(shape, LearnedValue::REACH)].map { |factor|
          [@help * factor / weight, MOST].min
        }
        LearnedValue.new(about: :help, number: calls.sum(&:expected), seen: calls.sum(&:called), classes: calls.map(&:session).uniq.size,
          value: middle, low: low, high: high)
      end
    end
  end
end
