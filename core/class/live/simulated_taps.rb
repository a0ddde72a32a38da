# frozen_string_literal: true

module Core
  module Live
    # The taps of an evening that was simulated: for the demo, for trying Live out, and for checking what is learnt from it.
    module SimulatedTaps
      # Its luck is not that of any forecast.
      SEED = 97

      module_function

      # @param plan [Plan] @param model [Session::Model] @param start [Integer] seconds at which it begins @param run [Integer] which
      # evening
      # @param paces [Hash{String=>Float}] hidden factors of techniques' times
      # @param losses [Hash{String=>Float}] hidden shares that are lost, by kind of part; nothing of other kinds
      # @param calls [Boolean] whether those who are helped have called before @return [Array<Event>]
      def events(plan, model, start, run: 0, paces: {}, losses: {}, calls: false)
        watched = Session::Simulation.new(hidden(plan, model, paces), seed: SEED).watch(run..run).first
        taps = watched.ended.flat_map { |person, ended| steps_on(ended.values.sort, person) }
        last = taps.map { |_, _, minute| minute }.max.to_f
        spares = losses.empty? ? [] : spares_taken(plan, watched, losses, Random.new(SEED + run))
        helped = calls ? watched.rows.flat_map { |person, row| calls_on(row, person, checked(model)) } : []
        rows = [['start', nil, 0.0], *taps, *spares, *helped, ['end', nil, last + 1]]
        in_order(rows).each_with_index.map do |(kind, person, minute, part), i|
          Event.new(key: format('%024x', i), kind: kind.to_sym, at: start + (minute * 60).round, person: person, detail: part)
        end
      end

      # Somewhere in the middle of each one's evening.
      def spares_taken(plan, watched, losses, random)
        watched.ended.flat_map do |key, ended|
          person = plan.person(key)
          person.needs.flat_map do |need|
            chance = losses.fetch(need.part.kind.to_s, 0.0) * Materials::Loss::BY_LEVEL.fetch(person.attendee.level)
            lost = Array.new(need.count) { random.rand(1.0) < chance }.count(true)
            Array.new(lost) { ['spare', key, ended.values.max * random.rand(0.2..0.8), need.part.key] }
          end
        end
      end

      def in_order(rows)
        rows.sort_by { |kind, _, minute| [minute, kind == 'start' ? 0 : 1] }
      end

      # A call at each step, when it begins to be waited for; a look at a checkpoint is none.
      def calls_on(row, person, checked)
        visits = row.select { |segment| segment.kind == :helped && !checked.include?(segment.step) }
        visits.uniq(&:step).flat_map do |helped|
          waited = row.find { |segment| segment.kind == :wait_help && segment.step == helped.step && segment.to == helped.from }
          [['hand', person, (waited || helped).from], ['helped', person, helped.to]]
        end
      end

      def checked(model)
        model.people.flat_map(&:tasks).select(&:check).map(&:label).uniq
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
      private_class_method :in_order, :steps_on, :calls_on, :checked, :spares_taken, :hidden
    end
  end
end
