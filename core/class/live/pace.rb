# frozen_string_literal: true

require 'matrix'

module Core
  module Live
    # How quick the work turns out to be against the plan, from what was done so far. The logarithm of minutes taken over minutes planned is
    # a sum: what the evening adds, what the technique adds, what the person adds, and chance. Each has a normal prior at the plan's value,
    # so few taps change little, and a slow evening is not blamed on one person (partial pooling; A. Gelman and others, Bayesian Data
    # Analysis, chapters 5 and 14). A step not yet finished counts as "at least so long" (a censored normal value, by Newton's method).
    class Pace
      # Rounds of weighing, each about the values of the round before.
      ROUNDS = 4
      # A value further from what is expected than so many spreads counts less: someone was called away, or came back (Huber).
      UNLIKELY = 3.0
      LEAST = 0.02

      # Minutes of one person at one technique. variance: at the planned pace, by chance · least: they are still at it
      Seen = Struct.new(:person, :technique, :planned, :minutes, :variance, :least)

      # @param model [Session::Model] @param starts [WorkStarts] @param evening [LiveState] @param beside [Session::BesideWork]
      # @param now [Numeric] seconds
      def initialize(model, starts, evening, beside, now)
        @model = model
        @starts = starts
        @beside = beside
        @now = now
        @techniques = evening.people.values.flat_map(&:tasks).to_h { |task| [task.step.key, task.technique.key] }
        @work = TappedWork.new(model, starts, evening, beside)
        @presumed = Presumed.new(model, starts, @work, now)
        @unknown = [:evening, *@techniques.values.uniq.map { |key| [:technique, key] }, *model.people.map { |one| [:person, one.key] }]
        @places = @unknown.each_with_index.to_h
        solve
      end

      # @return [Presumed]
      attr_reader :presumed

      # @param person [Session::Model::Person] @param label [String] of a step @return [Float] multiple of the planned times, on average
      def of(person, label)
        terms = row(person.key, @techniques[label])
        Math.exp(terms.sum { |i| @mean[i] } + (variance(terms.to_h { |i| [i, 1.0] }) / 2))
      end

      # @param left [Hash{Session::Model::Person=>Array<Session::Model::Work>}] what each still has to do
      # @return [(Float, Float)] spread of the logarithm that all of it has in common, and that each person has beside it
      def spreads(left)
        all = shares(left.values.flatten).transform_keys { |key| @places[[:technique, key]] }.merge(0 => 1.0)
        shared = variance(all)
        own = left.map { |person, tasks|
          mine = shares(tasks).transform_keys { |key| @places[[:technique, key]] }
          variance(mine.merge(0 => 1.0, @places[[:person, person.key]] => 1.0)) - shared
        }
        [shared, own.empty? ? 0.0 : [own.sum / own.size, 0.0].max].map { |one| Math.sqrt(one) }
      end

      private

      # @return [Hash{String=>Float}] share of the minutes, by technique
      def shares(tasks)
        minutes = tasks.group_by { |task| @techniques[task.label] }.transform_values { |same| same.sum(&:minutes) }
        whole = minutes.values.sum
        minutes.transform_values { |own| own / whole }
      end

      # @param weights [Hash{Integer=>Float}] of the unknown, by place @return [Float] variance of their sum
      def variance(weights)
        weights.sum { |i, a| weights.sum { |j, b| a * b * @covariance[i, j] } }
      end

      def row(person, technique)
        [0, @places[[:technique, technique]], @places[[:person, person]]].compact
      end

      def prior(unknown)
        case unknown
        in :evening then @model.evening
        in [:technique, _] then @model.doubt
        else @model.between
        end
      end

      def solve
        priors = @unknown.map { |one| [prior(one), LEAST].max**2 }
        # What is planned is a mean: the middle of the logarithms lies below it.
        @mean = priors.map { |variance| -variance / 2 }
        seen = finished + under_way
        ROUNDS.times do
          weigh(seen, priors)
          learn_spread(priors)
        end
      end

      def weigh(seen, priors)
        precision = Array.new(priors.size) { Array.new(priors.size, 0.0) }
        weighed = priors.each_with_index.map { |variance, i|
          precision[i][i] = 1 / variance
          -0.5
        }
        seen.each { |one| count(one, precision, weighed) }
        @covariance = Matrix.rows(precision).inverse
        @mean = (@covariance * Vector.elements(weighed)).to_a
      end

      # People of this class may differ more or less than planned: the variance is as if so many had shown the planned one before.
      def learn_spread(priors)
        people = @model.people.map { |one| @places.fetch([:person, one.key]) }
        seen = people.sum { |i| ((@mean[i] + (priors[i] / 2))**2) + @covariance[i, i] }
        variance = ((Setup::Calibration::PEOPLE_BEFORE * (@model.between**2)) + seen) / (Setup::Calibration::PEOPLE_BEFORE + people.size)
        people.each { |i| priors[i] = [variance, LEAST**2].max }
      end

      def count(one, precision, weighed)
        terms = row(one.person, one.technique)
        value, weight = one.least ? censored(one, terms) : told(one, terms)
        return if weight < 1e-6

        terms.each { |i|
          weighed[i] += value * weight
          terms.each { |j| precision[i][j] += weight }
        }
      end

      # Minutes are the mean with an error about it: the logarithm follows it in a straight line near what was found (Gauss and Newton).
      def told(one, terms)
        log = terms.sum { |i| @mean[i] }
        expected = one.planned * Math.exp(log)
        spread = Math.sqrt(one.variance) * expected / one.planned
        off = (one.minutes - expected) / spread
        [log + ((one.minutes - expected) / expected).clamp(-1, 1), [1.0, UNLIKELY / [off.abs, 1e-9].max].min * ((expected / spread)**2)]
      end

      # The score and the information of the chance that it takes more than this, about what was found.
      def censored(one, terms)
        variance = Math.log(1 + (one.variance / (one.planned**2)))
        spread = Math.sqrt(variance)
        mean = terms.sum { |i| @mean[i] }
        z = (Math.log(one.minutes / one.planned) + (variance / 2) - mean) / spread
        hazard = Math.exp(-z * z / 2) / Math.sqrt(2 * Math::PI) / [0.5 * Math.erfc(z / Math.sqrt(2)), 1e-12].max
        information = hazard * (hazard - z) / variance
        information < 1e-6 ? [0.0, 0.0] : [mean + (hazard / spread / information), information]
      end

      # @return [Array<Seen>] one of each person and technique
      def finished
        timed = @work.done.select { |one| one.task.minutes.positive? }
        timed.group_by { |one| [one.person, @techniques[one.task.label]] }.map do |about, same|
          Seen.new(*about, same.sum { |one| one.task.minutes }, same.sum(&:minutes), same.sum { |one| variance_of(one) }, false)
        end
      end

      # What a step has of time that it shares with others is less sure.
      def variance_of(one)
        @work.variance(one.task) + (((1 - one.share) * @model.doubt * one.task.minutes)**2)
      end

      def under_way
        @model.people.filter_map do |person|
          step = @starts.current(person.key)
          next unless step&.began && step.began < @now && step.task.minutes.positive? && !@presumed.gone_on?(step)

          gone = step.task.minutes * (@now - step.began) / 60.0 / @beside.whole(step.task)
          Seen.new(person.key, @techniques[step.task.label], step.task.minutes, [gone, 1e-3].max, @work.variance(step.task), true)
        end
      end
    end
  end
end
