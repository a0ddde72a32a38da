# frozen_string_literal: true

module Core
  module Logbook
    # How much people of one level differ. Within a class the logarithm of taken against expected time is a value of the technique, one of
    # the person and what is left: two-way analysis of variance, the mean squares of people against what is left (Searle, Casella and
    # McCulloch, Variance Components, chapter 4; where everyone tried everything, the same as restricted maximum likelihood). Before any
    # class the variance is as if so many people had shown it.
    class SpreadLearning
      # From memory.
      BEFORE = 12.0
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
        free = BEFORE + classes.sum(&:people_free)
        variance = [((BEFORE * (@before**2)) + (classes.sum(&:people_free) * seen)) / free, LEAST**2].max
        tries = SpreadLearning.tries(classes)
        whole = (tries * variance) + left
        low, high = [1, -1].map { |side| ((whole * free / (2 * Gamma.quantile(free / 2, side * LearnedValue::REACH))) - left) / tries }
        LearnedValue.new(about: :between, number: people, classes: classes.size, value: variation(variance), low: variation(low),
          high: variation(high))
      end

      # @return [Float] coefficient of variation of a lognormal with this variance of its logarithm
      def variation(variance)
        Math.sqrt(Math.exp([variance, LEAST**2].max) - 1)
      end

      # One value for each person and technique, without what the technique has in common.
      # @return [Array<(String, String, Float)>] person, technique, value
      def cells(tries)
        tries.group_by(&:technique).flat_map do |technique, same|
          usual = Math.sqrt((same.sum(&:variance) / same.size) + (@before**2))
          logs = Outliers.pulled_in(same.map(&:log), usual)
          own = same.zip(logs).group_by { |try, _| try.person }.transform_values { |pairs| pairs.sum(&:last) / pairs.size }
          middle = own.values.sum / own.size
          own.map { |person, value| [person, technique, value - middle] }
        end
      end
    end
  end
end
