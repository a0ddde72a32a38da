# frozen_string_literal: true

module Core
  module Session
    # How a class is expected to go, from many simulated runs. All minutes count from the start; clearing up is in every finish.
    #
    # runs
    #
    # @param minutes of the class
    # @param ends when the last has finished, sorted
    # @param finishes {attendee key => sorted minutes}
    # @param in_time {number of people who finish by the end => runs}
    # @param last {attendee key => share of runs in which they are the last}
    # @param why {kind of time => minutes of the last, on average}
    # @param typical RunTrace whose end lies in the middle
    # @param watched [RunTrace], only their sums
    # @param queues see Queues
    Forecast = Value.define(:runs, :minutes, :ends, :finishes, :in_time, :last, :why, :typical, :watched, :helpers, :tools, :queues) do
      # @return [Float] chance that everyone has finished and cleared up by the end
      def chance
        share(ends, minutes)
      end

      # @return [ForecastSummary]
      def outlook
        ForecastSummary.new(runs: runs, chance: chance, late_end: end_at(0.9), last: most_often_last)
      end

      # Of the chance, with two runs of each kind added, so that none or all of few runs is not taken for certain
      # (Agresti and Coull, The American Statistician 52(2), 1998).
      # @return [Float]
      def standard_error
        trials = runs + 4.0
        estimate = ((chance * runs) + 2) / trials
        Math.sqrt(estimate * (1 - estimate) / trials)
      end

      # @return [Float] chance that this one has
      def chance_of(key)
        share(finishes.fetch(key), minutes)
      end

      # @param part [Float] of the people, such as 0.9
      # @return [Float] chance that so many have
      def chance_of_part(part)
        needed = (finishes.size * part).ceil
        in_time.sum { |number, times| number >= needed ? times : 0 }.fdiv(runs)
      end

      # @param share [Float] 0..1 @return [Float] minute by which the class has ended in this share of runs
      def end_at(share)
        Quantile.of(ends, share)
      end

      # @return [Float] minute by which one has finished in this share of runs
      def finish_at(key, share)
        Quantile.of(finishes.fetch(key), share)
      end

      # @return [LongWait, nil] of the typical class
      def long_wait
        LongWait.of(typical.rows)
      end

      # @return [String, nil] key of the person who is most often the last
      def most_often_last
        last.max_by(&:last)&.first
      end

      # @return [Float] share of the instructors' time that goes to people
      def helper_load
        watched.sum(&:helping) / (watched.sum { |run| run.finished.values.max } * helpers)
      end

      # @return [Hash{String=>Float}] share of each scarce tool's time in use until the last has done
      def tool_loads
        tools.to_h { |key, number|
          [key,
           watched.sum { |run| run.held.fetch(key, 0.0) } / (watched.sum { |run|
             run.finished.values.max
           } * number)]
        }
      end

      private

      def share(sorted, limit)
        (sorted.bsearch_index { |minute| minute > limit } || sorted.size).fdiv(sorted.size)
      end
    end

    class Forecast
      # Runs that are watched, for what a distribution does not tell.
      WATCHED = 24

      # @param plan [Plan] @param runs [Integer, nil] so many at once; nil takes as many as a page does in the end
      # @return [Forecast, Impossible]
      def self.for(plan, calibration, runs: nil)
        model = Modelling.new(plan, calibration).model
        return model if model.is_a?(Impossible)

        simulation = Simulation.new(model)
        runs ? of(simulation, simulation.run(0...runs)) : Refinement.new(simulation, Refinement.stages(model)).call
      end

      # @param simulation [Simulation] @param results [Results] of its runs from 0 on @param watched [Array<RunTrace>] its first runs
      # @return [Forecast]
      def self.of(simulation, results, watched: simulation.watch(0...[WATCHED, results.size].min))
        model = simulation.model
        keys = model.people.map(&:key)
        middle = results.ends.sort[results.size / 2]
        typical = results.ends.each_index.first(watched.size).min_by { |i| (results.ends[i] - middle).abs }
        new(runs: results.size, minutes: model.minutes, ends: results.ends.sort, finishes: keys.zip(results.finishes.map(&:sort)).to_h,
          in_time: in_time(results, model.minutes),
          last: keys.zip(results.last.map { |times|
            times.fdiv(results.size)
          }).to_h, why: why(results), typical: watched[typical], watched: watched.map(&:summed), helpers: model.helpers,
          tools: model.tools, queues: Queues.of(watched))
      end

      def self.in_time(results, minutes)
        (0...results.size).map { |run| results.finishes.count { |of_person| of_person[run] <= minutes } }.tally
      end

      # Minutes of the last, by what they went into.
      def self.why(results)
        Engine::KINDS.zip(results.last_spent).to_h.except(:done).transform_values { |sum| sum / results.size }
      end
      private_class_method :in_time, :why
    end
  end
end
