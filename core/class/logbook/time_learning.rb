# frozen_string_literal: true

module Core
  module Logbook
    # What held classes teach about the time of each technique. The logarithm of taken against planned time of a try is normal about a value
    # of its technique, with what one class has in common, what one person has, and what is left of each try beside it; before any class
    # that value is about none (conjugate normal model with known variances; Gelman et al., Bayesian Data Analysis, chapters 2 and 5). Few
    # tries move little.
    class TimeLearning
      # Spreads of logarithms, from memory: of the technique's value before any class, and of what a class has in common.
      BEFORE = 0.3
      IN_A_CLASS = 0.15

      # @param between [Float] how much people of one level differ, see Setup::Calibration
      def initialize(between)
        @between = Session::Spread.sigma(1.0, between)**2
      end

      # @param tries [Array<TimeObservation>] @return [Array<LearnedValue>] of each technique that was tried, most tries first; values are
      # factors of the time
      #   that is reckoned with now
      def lessons(tries)
        tries.group_by(&:technique).map { |technique, same| lesson(technique, same) }.sort_by { |lesson| [-lesson.number, lesson.about] }
      end

      private

      def lesson(technique, tries)
        classes = pulled_in(tries).group_by(&:session).values.map { |same| of_class(same) }
        precision = (1 / (BEFORE**2)) + classes.sum(&:last)
        middle = classes.sum { |value, weight| value * weight } / precision
        reach = LearnedValue::REACH / Math.sqrt(precision)
        LearnedValue.new(about: technique, number: tries.size, classes: classes.size, value: Math.exp(middle),
          low: Math.exp(middle - reach), high: Math.exp(middle + reach))
      end

      def pulled_in(tries)
        usual = Math.sqrt((tries.sum(&:variance) / tries.size) + @between + (IN_A_CLASS**2))
        tries.zip(Outliers.pulled_in(tries.map(&:log), usual)).map { |try, log| try.with(log: log) }
      end

      # @param tries [Array<TimeObservation>] of one technique in one class @return [(Float, Float)] its value and how precise that is
      def of_class(tries)
        people = tries.group_by(&:person).values.map { |own|
          [own.sum(&:log) / own.size, 1 / (@between + (own.sum(&:variance) / (own.size**2)))]
        }
        precision = people.sum(&:last)
        [people.sum { |value, weight| value * weight } / precision, tries.first.weight / ((IN_A_CLASS**2) + (1 / precision))]
      end
    end
  end
end
