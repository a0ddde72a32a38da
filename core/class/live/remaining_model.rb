# frozen_string_literal: true

module Core
  module Live
    # What is left of a class as a model of its own: the forecast from here.
    class RemainingModel
      # People who already hold their tools begin before those who wait for them, and who came first before who came later.
      SOONER_MINUTES = 0.001
      # Something is always left of a step that is not done.
      LEAST = 0.05

      # @param model [Session::Model] of the whole class @param evening [LiveState] running @param now [Numeric] seconds
      # @param beside [Session::BesideWork] of the whole class @param pace [Pace, nil] where it is known by these taps
      def initialize(model, evening, now, beside = Session::BesideWork.new(model), pace: nil)
        @beside = beside
        @pace = pace
        @model = model
        @evening = evening
        @now = now
      end

      # @return [Session::Model, nil] nil when nobody has anything left to do
      def model
        people = working.map { |person| left(person) }
        return if people.empty?

        together, between = pace.spreads(working.zip(people).to_h { |person, rest| [person, rest.tasks] })
        @model.with(people: people, between: between, together: together, late_share: 0.0, demonstrations: waited_for(people),
          tools: on_the_table, pauses: @model.pauses.select { |pause| pause.from > minute })
      end

      # @return [Pace]
      def pace
        @pace ||= Pace.new(@model, starts, @evening, @beside, @now)
      end

      private

      def minute
        @minute ||= @evening.minute(@now)
      end

      def starts
        @starts ||= WorkStarts.new(@model, @evening)
      end

      def working
        @working ||= @model.people.select { |person| starts.current(person.key) }
      end

      # @return [WorkStarts::Step] what someone is at
      def current(person)
        (@current ||= {})[person.key] ||= pace.presumed.current(person)
      end

      def left(person)
        at = current(person)
        left_out = @evening.people[person.key].left_out
        tasks = person.tasks.drop(at.place + 1).reject { |task| left_out.include?(task.label) }
        begins = [minute, person.begins].max - (SOONER_MINUTES * turns.index(person).succ)
        rest = [under_way(at), *tasks.map { |task| seen(task) }]
        person.with(begins: [begins, 0.0].max, tasks: rest.map { |task| task.with(minutes: task.minutes * pace.of(person, task.label)) })
      end

      # @return [Array<Session::Model::Person>] whose turn is last first
      def turns
        @turns ||= working.sort_by { |person| current(person).then { |at| [began?(at) ? 0 : 1, at.came] } }.reverse
      end

      def began?(step)
        step.began && step.began <= @now
      end

      # Nobody begins before the group is there, before what is shown is over, and before the tools are free.
      def under_way(step)
        task = step.task
        return seen(task) if step.ready.nil?
        return task if step.came >= @now
        return task.with(minutes: task.minutes + ((step.ready - @now) / 60.0), demonstration: nil) if step.ready > @now

        return task.with(demonstration: nil) unless began?(step)

        gone = (@now - step.began) / 60.0 / pace.of(step.person, task.label)
        task.with(minutes: beyond(task, gone), help: help_beyond(task, gone), demonstration: nil)
      end

      # A person who takes longer than usual has more likely called than not: by Bayes' rule, from how likely each is still at it.
      def help_beyond(task, gone)
        called = task.help * share_beyond(task, gone - @model.help_minutes)
        rest = (1 - task.help) * share_beyond(task, gone)
        (called + rest).positive? ? called / (called + rest) : 1.0
      end

      # @return [Float] how many of all are not done after so many minutes
      def share_beyond(task, gone)
        task.minutes.positive? ? Session::Spread.share_above(@model.sigmas[task.sigma], gone / task.minutes) : 0.0
      end

      # Mean of a lognormal beyond what has passed already: E[T - e | T > e], by the table that the engine draws from.
      def beyond(task, gone)
        return task.minutes if gone <= 0 || !task.minutes.positive?

        longer = Session::Spread.mean_above(@model.sigmas[task.sigma], gone / task.minutes)
        [longer ? (longer * task.minutes) - gone : 0.0, task.minutes * LEAST].max
      end

      # What others have gone past has been shown; who comes to it now is shown it alone. What was shown to all is known.
      def seen(task)
        index = task.demonstration
        return task if index.nil?
        return task.with(demonstration: nil) if @evening.shown.include?(@model.demonstrations[index].label)

        shown?(index) ? task.with(demonstration: nil, minutes: task.minutes + @model.demonstrations[index].alone) : task
      end

      def shown?(index)
        (@shown ||= {}).fetch(index) do
          steps = @model.people.flat_map { |person| starts.of(person.key) }.select { |step| step.task.demonstration == index }
          @shown[index] = @evening.showing&.technique == @model.demonstrations[index].label ||
                          steps.any? { |step| step.left || (step.ready && step.ready <= @now) }
        end
      end

      # What is kept from earlier steps lies before people, and comes back when it is freed.
      # @return [Hash{String=>Integer}]
      def on_the_table
        kept = working.flat_map { |person| kept(current(person).task).to_a }
        @model.tools.to_h { |tool, number| [tool, [number - kept.select { |held, _| held == tool }.sum(&:last), 0].max] }
      end

      def kept(task)
        taken = task.takes || task.tools
        task.tools.to_h { |tool, number| [tool, number - taken.fetch(tool, 0)] }
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
