# frozen_string_literal: true

module Core
  module Logbook
    # How much people of one level differ. Within a class the logarithm of taken against expected time is a value of the technique, one of
    # the person and what is left: two-way analysis of variance, the mean squares of people against what is left (Searle, Casella and
    # McCulloch, Variance Components, chapter 4; where everyone tried everything, the same as restricted maximum likelihood). Before any
    # class the variance is as if so many people had shown it.
    class SpreadLearning
      BEFORE = Setup::Calibration::PEOPLE_BEFORE
      LEAST = 0.02

      # Sums of squares and degrees of freedom of one class. tries: of a person, on average
      Sums = Struct.new(:people, :people_free, :left, :left_free, :tries)

      # @param calibration [Setup::Calibration]
      def initialize(calibration)
        @before = Session::Spread.sigma(1.0, calibration.between)
      end

      # @param tries [Array<TimeObservation>] @return [LearnedValue, nil] its value is a coefficient of variation; nil where nobody can be
      # compared
      def lesson(tries)
        classes = tries.group_by(&:session).values.filter_map { |same| sums(same) }
        return if classes.empty?

        learnt(classes, tries.map { |try| [try.session, try.person] }.uniq.size)
      end

      # @param classes [Array<Sums>] @return [(Float, Float)] variance between people as it was seen, and mean square of what is left
      def self.seen(classes)
        left = classes.sum(&:left) / classes.sum(&:left_free)
        [((classes.sum(&:people) / classes.sum(&:people_free)) - left) / tries(classes), left]
      end

      def self.tries(classes)
        classes.sum { |one| one.tries * one.people_free } / classes.sum(&:people_free)
      end

      # @param tries [Array<TimeObservation>] of one class @return [Sums, nil]
      def sums(tries)
        cells = cells(tries)
        people = cells.group_by { |person, _, _| person }
        techniques = cells.map { |_, technique, _| technique }.uniq.size
        free = cells.size - techniques - people.size + 1
        return if people.size < 2 || free < 1

        weight = tries.first.weight
        means = people.transform_values { |own| own.sum(&:last) / own.size }
        Sums.new(weight * people.sum { |person, own| own.size * (means[person]**2) }, weight * (people.size - 1),
          weight * cells.sum { |person, _, value| (value - means[person])**2 }, weight * free, cells.size.fdiv(people.size))
      end

      private

      def learnt(classes, people)
        seen, left = SpreadLearning.seen(classes)
        tries = SpreadLearning.tries(classes)
        # The more is left beside people, the less a class says of them: as if so many fewer had been there.
        told = classes.sum(&:people_free) * ((tries * (@before**2) / ((tries * (@before**2)) + left))**2)
        variance = [((BEFORE * (@before**2)) + (told * seen)) / (BEFORE + told), LEAST**2].max
        free = BEFORE + classes.sum(&:people_free)
        whole = (tries * variance) + left
        low, high = [1, -1].map { |side| ((whole * free / (2 * Gamma.quantile(free / 2, side * LearnedValue::REACH))) - left) / tries }
        LearnedValue.new(about: :between, number: people, classes: classes.size, value: variation(variance), low: variation(low),
          high: variation(high))
      end

      # @return [Float] coefficient of variation of a lognormal with this variance of its logarithm
      def variation(variance)
        Math.sqrt(Math.exp([variance, LEAST**2].max) - 1)
      end

      # @param tries [Array<TimeObservation>] of one person at one technique
      def log(tries)
        Math.log([tries.sum(&:minutes) / tries.sum(&:planned), TimesOfClass::LEAST].max)
      end

      def variance(tries)
        tries.sum(&:variance) / (tries.sum(&:planned)**2)
      end

      # One value for each person and technique, without what the technique has in common.
      # @return [Array<(String, String, Float)>] person, technique, value
      def cells(tries)
        tries.group_by(&:technique).flat_map do |technique, same|
          own = same.group_by(&:person).transform_values { |tries| log(tries) }
          spreads = same.group_by(&:person).values.map { |tries| Math.sqrt(variance(tries) + (@before**2)) }
          logs = Outliers.pulled_in(own.values, spreads)
          middle = logs.sum / logs.size
          own.keys.zip(logs).map { |person, value| [person, technique, value - middle] }
        end
      end
    end
  end
end
