# frozen_string_literal: true

module Core
  module Logbook
    # How long a visit takes, on average. Before any class it is as if so many visits had been as long as the value from memory; visits
    # differ
    # as in the simulated class.
    class VisitLearning
      # From memory.
      BEFORE = 5.0
      # Coefficient of variation of a visit.
      VARIATION = Math.sqrt(Math.exp(Session::Engine::HELP_SIGMA**2) - 1)

      # @param calibration [Setup::Calibration]
      def initialize(calibration)
        @before = calibration.help_minutes
      end

      # @param visits [Array<Visits>] @return [LearnedValue, nil] minutes
      def lesson(visits)
        return if visits.empty?

        number = BEFORE + visits.sum { |one| one.number * one.weight }
        middle = ((BEFORE * @before) + visits.sum { |one| one.minutes * one.weight }) / number
        reach = LearnedValue::REACH * middle * VARIATION / Math.sqrt(number)
        LearnedValue.new(about: :help_minutes, number: visits.sum(&:number), classes: visits.map(&:session).uniq.size, value: middle,
          low: middle - reach, high: middle + reach)
      end
    end
  end
end
