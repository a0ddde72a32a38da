# frozen_string_literal: true

module Core
  module Session
    # What goes by at a step beside the work at it, as the engine reckons it: the break, fetching tools, visits, looks at checkpoints, and
    # that tired people are slower. What is tapped is taken apart with it. Minutes are by the clock, pauses counted.
    class BesideWork
      # Runs that are watched for how long help and looks are waited for.
      WATCHED = 12

      # @param simulation [Simulation] @return [BesideWork] with the waits for help and looks that its runs show
      def self.watched(simulation)
        checked = simulation.model.people.flat_map(&:tasks).select(&:check).map(&:label).uniq
        helped = simulation.watch(0...WATCHED).flat_map { |run| run.rows.values.flatten }.select { |segment|
          %i[wait_help helped].include?(segment.kind)
        }
        looks, calls = helped.partition { |segment| checked.include?(segment.step) }
        visits = calls.count { |segment| segment.kind == :helped }
        new(simulation.model, call: visits.zero? ? nil : calls.sum(&:minutes) / visits,
          looks: looks.group_by(&:step).transform_values { |same| same.sum(&:minutes) / same.count { |one| one.kind == :helped } })
      end

      # @param model [Model] @param call [Float, nil] minutes from a call to the end of the visit, nil for a visit without a wait
      # @param looks [Hash{String=>Float}] label of a step => minutes of a look with the wait for it
      def initialize(model, call: nil, looks: {})
        @model = model
        @call = call || model.help_minutes
        @looks = looks
      end

      # @param task [Model::Work] @param from [Float] minute at which work at it began @param to [Float] at which it was left
      # @param called [Float, nil] minutes of calls and visits that were tapped; nil where none are, so that what is usual counts
      # @return [Float] minutes of work at the pace of someone who is not tired; may be negative where taps are wrong
      def work_alone(task, from, to, called: nil)
        (worked(to) - worked(from) - walk(task) - look(task) - (called || help(task))) / slower(from)
      end

      # @param task [Model::Work] @return [Float] minutes that go by at it on average, of someone who is not tired
      def whole(task)
        task.minutes + walk(task) + look(task) + help(task)
      end

      # @return [Float] minutes of calls and visits, on average
      def help(task)
        @model.calls(task) * @call
      end

      # @return [Float] share of the minutes from a call to the end of the visit that are the visit
      def visit_share
        [@model.help_minutes / @call, 1.0].min
      end

      private

      # @return [Float] minutes of work before a minute of the clock
      def worked(minute)
        @model.pauses.reverse.reduce(minute) { |at, pause| at > pause.from ? [at - pause.minutes, pause.from].max : at }
      end

      def walk(task)
        @model.scarce(task).any? ? @model.walking : 0.0
      end

      def look(task)
        task.check ? @looks.fetch(task.label, @model.check_minutes) : 0.0
      end

      def slower(minute)
        now = worked(minute)
        rested = @model.pauses.map(&:from).select { |from| from <= now }.max || 0.0
        now - rested > @model.tires_after ? 1 + @model.fatigue : 1.0
      end
    end
  end
end
