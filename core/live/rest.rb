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

        @model.with(people: people, late_share: 0.0, pauses: @model.pauses.select { |pause| pause.from > minute },
          demonstrations: waited_for(people))
      end

      private

      def minute
        @minute ||= @evening.minute(@now)
      end

      def left(person)
        here = @evening.people[person.key]
        return if here.nil? || !here.here || here.done?

        first, *rest = person.tasks.drop(here.place)
        rest = rest.reject { |task| here.left_out.include?(task.label) }
        tasks = [at_work(first, gone(here, person)), *rest.map { |task| seen(task) }]
        person.with(begins: [minute, person.begins].max, tasks: tasks)
      end

      # Nobody begins before the welcome is over. @return [Float] minutes of work gone at the first thing left to do
      def gone(here, person)
        [here.minutes(@now), [minute - person.begins, 0.0].max].min
      end

      # Who is at it has its tools; what it still takes is what the usual spread leaves beyond the minutes gone. As long as nobody is past a
      # demonstration, its minutes go first; of one that is being shown now, those that are left.
      def at_work(task, gone)
        return being_shown(task) if task.demonstration && under_way?(task.demonstration)

        showing = task.demonstration && !shown?(task.demonstration) ? @model.demonstrations[task.demonstration].minutes : 0.0
        return task.with(takes: task.takes && task.tools) if gone <= showing

        task.with(minutes: beyond(task, gone - showing), demonstration: nil, takes: task.takes && task.tools)
      end

      def being_shown(task)
        gone = (@now - @evening.showing.since) / 60.0
        task.with(minutes: task.minutes + [@model.demonstrations[task.demonstration].minutes - gone, 0.0].max, demonstration: nil,
          takes: task.takes && task.tools)
      end

      def under_way?(index)
        @evening.showing&.technique == @model.demonstrations[index].label
      end

      # Mean of a lognormal beyond what has passed already: E[T - e | T > e], by the table that the engine draws from.
      def beyond(task, gone)
        return task.minutes if gone <= 0

        longer = Session::Spread.table(@model.sigmas[task.sigma]).map { |luck| (luck * task.minutes) - gone }.select(&:positive?)
        longer.empty? ? task.minutes * LEAST : [longer.sum / longer.size, task.minutes * LEAST].max
      end

      # Something is always left of a step that is not done.
      LEAST = 0.05

      # What others have gone past has been shown; who comes to it now is shown it alone. What was shown to all is known.
      def seen(task)
        return task unless task.demonstration && shown?(task.demonstration)
        return task.with(demonstration: nil) if @evening.shown.include?(@model.demonstrations[task.demonstration].label)

        task.with(demonstration: nil, minutes: task.minutes + @model.demonstrations[task.demonstration].alone)
      end

      def shown?(index)
        @shown ||= @model.demonstrations.each_with_index.map do |showing, i|
          @evening.shown.include?(showing.label) || @model.people.any? { |person| past?(person, i) }
        end
        @shown[index]
      end

      def past?(person, showing)
        here = @evening.people[person.key]
        at = person.tasks.index { |task| task.demonstration == showing }
        !here.nil? && !at.nil? && here.place > at
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
