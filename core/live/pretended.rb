# frozen_string_literal: true

module Core
  module Live
    # The taps of an evening that was simulated: for the demo, for trying Live out, and for checking what is learnt from it.
    module Pretended
      # Its luck is not that of any forecast.
      SEED = 97

      module_function

      # @param plan [Plan] @param model [Session::Model] @param start [Integer] seconds at which it begins @param run [Integer] which
      # evening
      # @param paces [Hash{String=>Float}] hidden factors of techniques' times @return [Array<Event>]
      def events(plan, model, start, run: 0, paces: {})
        watched = Session::Simulation.new(hidden(plan, model, paces), seed: SEED).watch(run..run).first
        taps = watched.ended.flat_map { |person, ended| steps_on(ended.values.sort, person) }
        last = taps.map(&:last).max.to_f
        rows = [['start', nil, 0.0], *taps, ['end', nil, last + 1]].sort_by { |kind, _, minute| [minute, kind == 'start' ? 0 : 1] }
        rows.each_with_index.map do |(kind, person, minute), i|
          Event.new(key: format('%024x', i), kind: kind.to_sym, at: start + (minute * 60).round, person: person)
        end
      end

      def steps_on(minutes, person)
        minutes.map { |minute| ['next', person, minute] }
      end

      def hidden(plan, model, paces)
        techniques = plan.people.flat_map(&:tasks).to_h { |task| [task.step.key, task.technique.key] }
        model.with(people: model.people.map { |person|
          person.with(tasks: person.tasks.map { |task| task.with(minutes: task.minutes * paces.fetch(techniques[task.label], 1.0)) })
        })
      end
      private_class_method :steps_on, :hidden
    end
  end
end
