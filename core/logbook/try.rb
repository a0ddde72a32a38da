# frozen_string_literal: true

module Core
  module Logbook
    # One step that one person finished in a class, where most of the time is work. technique: its key · taken: minutes between the taps
    # expected: the same on average, by the class's simulation, waiting and watching counted · session: names the class
    Try = Value.define(:technique, :taken, :expected, :session)

    class Try
      # Runs that are watched for what is expected.
      WATCHED = 24
      # What is mostly waiting, watching and welcome says little of a technique.
      LEAST_WORK = 0.25

      # @param inputs [Inputs] of a class that was held @param events [Array<Live::Event>] @return [Array<Try>] of what was finished
      def self.of(inputs, events)
        plan = inputs.plan
        model = Session::Modelling.new(plan, inputs.calibration).model
        evening = Live::Evening.new(plan, events)
        return [] if model.is_a?(Session::Impossible) || evening.started.nil?

        runs = Session::Simulation.new(model).watch(0...WATCHED)
        evening.people.values.flat_map { |person| tries(person, runs, inputs.workshop.key) }
      end

      def self.tries(person, runs, session)
        person.times.filter_map do |place, seconds|
          task = person.tasks[place]
          next unless task.kind == :step && seconds.sum.positive?

          expected = passed(person, place, runs)
          next if expected.nil? || task.minutes < expected * LEAST_WORK

          new(technique: task.technique.key, taken: seconds.sum / 60.0, expected: expected, session: session)
        end
      end

      # @return [Float, nil] minutes from the end of the step before, or from the start, to the end of this, on average
      def self.passed(person, place, runs)
        labels = [place - 1, place].map { |at| at.negative? ? nil : person.tasks[at].step.key }
        minutes = runs.filter_map do |run|
          ended = run.ended.fetch(person.key)
          before = labels.first ? ended[labels.first] : 0.0
          ended[labels.last] - before if before && ended[labels.last]
        end
        minutes.empty? ? nil : minutes.sum / minutes.size
      end
      private_class_method :tries, :passed
    end
  end
end
