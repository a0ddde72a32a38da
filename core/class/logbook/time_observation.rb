# frozen_string_literal: true

module Core
  module Logbook
    # One step that one person finished in a class.
    #
    # @param technique its key
    # @param session names the class
    # @param person names who did it
    # @param log logarithm of the time the work took against what was planned for it, 0 on average where the plan holds
    # @param variance of that logarithm for one person, by the spreads of the model
    # @param weight how much it counts
    TimeObservation = Value.define(:technique, :session, :person, :log, :variance, weight: 1.0)

    class TimeObservation
      # Runs that are watched for how long a checkpoint is waited for.
      WATCHED = 12
      # What is mostly waiting, help and checks says little of a technique.
      LEAST_WORK = 0.4
      # Nobody works quicker than that; a step tapped late and the next at once would say so.
      LEAST = 0.2

      # @param evening [Live::LiveState] @param simulation [Session::Simulation] of its class
      # @return [Array<TimeObservation>] of what was finished
      def self.of(evening, simulation, session)
        Reading.new(evening, simulation, session).tries
      end

      # Takes the taps apart: what of the time at a step was work at it.
      class Reading
        def initialize(evening, simulation, session)
          @evening = evening
          @model = simulation.model
          @session = session
          @starts = Live::WorkStarts.new(@model, evening)
          @calls_tapped = evening.people.each_value.any? { |person| person.helped.any? }
          @looks = looks(simulation)
        end

        def tries
          @model.people.flat_map { |person| @starts.of(person.key).filter_map { |step| try(step, @evening.people[person.key]) } }
        end

        private

        # @param step [Live::WorkStarts::Step] @param person [Live::LiveState::Person]
        def try(step, person)
          task = person.tasks[step.place]
          return unless task.kind == :step && step.left && step.began && step.task.needs_dry.empty?

          expected, variance = expected(step.task, person.key)
          share = step.task.minutes / expected
          taken = ((step.left - step.began) / 60.0) - (person.helped.fetch(step.place, 0) / 60.0)
          return if share < LEAST_WORK || taken <= 0

          made(task, person, [taken / expected, LEAST * share].max, variance / (expected**2), share)
        end

        # What of the logarithm is not work does not grow with the work: about the plan it moves by the work's share.
        def made(task, person, ratio, spread, share)
          variance = Math.log(1 + spread)
          TimeObservation.new(technique: task.technique.key, session: @session, person: person.key,
            log: (Math.log(ratio) + (variance / 2)) / share,
            variance: variance / (share**2))
        end

        # @param work [Session::Model::Work] @return [(Float, Float)] minutes on average from its beginning, and their variance at a usual
        #   pace
        def expected(work, person)
          minutes = work.minutes + (work.check ? @looks.fetch([person, work.label], 0.0) : 0.0)
          variance = (work.minutes**2) * (Math.exp(@model.sigmas[work.sigma]**2) - 1)
          return [minutes, variance] if @calls_tapped

          [minutes + (work.help * @model.help_minutes),
           variance + (work.help * (@model.help_minutes**2) * Math.exp(Session::Engine::HELP_SIGMA**2))]
        end

        # @return [Hash{Array=>Float}] [person, label] => minutes that a look at a checkpoint takes with what it is waited for, on average
        def looks(simulation)
          checked = @model.people.flat_map(&:tasks).select(&:check).map(&:label).uniq
          runs = simulation.watch(0...WATCHED)
          runs.each_with_object(Hash.new(0.0)) do |run, all|
            run.rows.each do |person, row|
              row.each { |segment|
                next unless %i[wait_help helped].include?(segment.kind) && checked.include?(segment.step)

                all[[person, segment.step]] += segment.minutes / runs.size
              }
            end
          end
        end
      end
      private_constant :Reading
    end
  end
end
