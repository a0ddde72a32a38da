# frozen_string_literal: true

module Core
  module Live
    # What is left of a class as a model of its own: the forecast from here.
    class Rest
      # @param model [Session::Model] of the whole class @param evening [Evening] @param now [Numeric] seconds
      def initialize(model, evening, now)
        @model = model
        @evening = evening
        @now = now
      end

      # @return [Session::Model, nil] nil when nobody has anything left to do
      def model
        people = @model.people.filter_map { |person| left(person) }
        return if people.empty?

        @model.with(people: people, late_share: 0.0, pauses: @model.pauses.select { |pause| pause.from > minute }, demonstrations: waited_for(people))
      end

      private

      def minute
        @minute ||= @evening.minute(@now)
      end

      def left(person)
        here = @evening.people[person.key]
        return if here.nil? || !here.here || here.done?

        first, *rest = person.tasks.drop(here.place)
        person.with(begins: [minute, person.begins].max, tasks: [at_work(first, here), *rest.map { |task| seen(task) }]) if first
      end

      # Who is at it has its tools and has seen it shown; what it still takes is what the usual spread leaves beyond the minutes gone.
      def at_work(task, person)
        gone = person.minutes(@now)
        task.with(minutes: beyond(task, gone), demonstration: nil, takes: task.takes && task.tools)
      end

      # Mean of a lognormal beyond what has passed already: E[T - e | T > e], by the table that the engine draws from.
      def beyond(task, gone)
        return task.minutes if gone <= 0

        longer = Session::Spread.table(@model.sigmas[task.sigma]).map { |luck| (luck * task.minutes) - gone }.select(&:positive?)
        longer.empty? ? task.minutes * LEAST : [longer.sum / longer.size, task.minutes * LEAST].max
      end

      # Something is always left of a step that is not done.
      LEAST = 0.05

      # What others have gone past has been shown; who comes to it now is shown it alone.
      def seen(task)
        return task unless task.demonstration && shown?(task.demonstration)

        task.with(demonstration: nil, minutes: task.minutes + @model.demonstrations[task.demonstration].alone)
      end

      def shown?(index)
        (@shown ||= {})[index] = @model.people.any? { |person|
          here = @evening.people[person.key]
          at = person.tasks.index { |task| task.demonstration == index }
          here && at && here.place > at
        } unless @shown&.key?(index)
        @shown[index]
      end

      # Nobody waits for who is not there.
      def waited_for(people)
        @model.demonstrations.each_with_index.map do |showing, index|
          watching = people.count { |person| person.tasks.any? { |task| task.demonstration == index } }
          showing.with(quorum: [[showing.quorum, watching].min, 1].max)
        end
      end
    end
  end
end
