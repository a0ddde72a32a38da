# frozen_string_literal: true

module Core
  module Logbook
    # What held classes teach about the time of each technique. The logarithm of taken against expected time of a try is normal about a
    # value of its technique, with what one class has in common and what is left of each try beside it; before any class that value is
    # about none (conjugate normal model with known variances; Gelman et al., Bayesian Data Analysis, chapters 2 and 5). Few tries move
    # little.
    class Learning
      # Spreads of logarithms, from memory: of the technique's value before any class, and of what a class has in common.
      BEFORE = 0.3
      IN_A_CLASS = 0.15
      # A try further from the middle than so many spreads counts as being that far: somebody was called away, or a tap was forgotten.
      OUTLYING = 2.5
      EIGHT_OF_TEN = Session::ProjectTime::EIGHT_OF_TEN

      # technique: its key · tries, classes: how many · factor: of the time that is reckoned with now, and where it lies with a chance of
      # 8 in 10
      Lesson = Value.define(:technique, :tries, :classes, :factor, :low, :high)

      # @param calibration [Session::Calibration]
      def initialize(calibration)
        mean, deviation = Session::Spread.pert(calibration.quick, 1.0, calibration.slow)
        within = Session::Spread.sigma(mean, deviation)
        @variance = (within**2) + (Session::Spread.sigma(1.0, calibration.between)**2)
      end

      # @param tries [Array<Try>] @return [Array<Lesson>] of each technique that was tried, most tries first
      def lessons(tries)
        tries.group_by(&:technique).map { |technique, same| lesson(technique, same) }.sort_by { |lesson| [-lesson.tries, lesson.technique] }
      end

      private

      def lesson(technique, tries)
        # A lognormal's mean lies half a variance above its middle.
        all = pulled_in(tries.map { |try| Math.log(try.taken / try.expected) + (@variance / 2) })
        by_class = tries.zip(all).group_by { |try, _| try.session }.values.map { |pairs| pairs.map(&:last) }
        weights = by_class.map { |values| 1 / ((IN_A_CLASS**2) + (@variance / values.size)) }
        precision = (1 / (BEFORE**2)) + weights.sum
        middle = by_class.zip(weights).sum { |values, weight| weight * values.sum / values.size } / precision
        reach = EIGHT_OF_TEN / Math.sqrt(precision)
        Lesson.new(technique: technique, tries: tries.size, classes: by_class.size, factor: Math.exp(middle),
          low: Math.exp(middle - reach), high: Math.exp(middle + reach))
      end

      def pulled_in(values)
        middle = Session::Quantile.of(values.sort, 0.5)
        most = OUTLYING * Math.sqrt(@variance + (IN_A_CLASS**2))
        values.map { |value| value.clamp(middle - most, middle + most) }
      end
    end
  end
end
