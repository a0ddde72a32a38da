# frozen_string_literal: true

module Core
  module Live
    # When the work at each step began, as far as the taps tell: they say when someone came to a step and left it, not what they waited for
    # meanwhile. What is shown comes first, to the group once all are there; then the tools that the step takes, first come, first served,
    # each free again when the step that frees it was left.
    class WorkStarts
      # One step of one person, in seconds. came, left: as tapped, left nil while they are at it · ready: seen what is shown before it, nil
      # while the group is not there · began: nil while it waits for tools
      Step = Struct.new(:person, :place, :task, :came, :left, :ready, :began)

      # @param model [Session::Model] @param evening [LiveState] running
      def initialize(model, evening)
        @model = model
        @evening = evening
        @people = model.people.select { |person| (here = evening.people[person.key]) && here.here }
        @steps = @people.flat_map { |person| steps_of(person) }
        see
        take_tools
        return unless begun_without_some?

        see
        take_tools
      end

      # @return [Array<Step>] what this person has done, and what they are at
      def of(key)
        @by_person ||= @steps.group_by { |step| step.person.key }
        @by_person.fetch(key, [])
      end

      # @return [Step, nil] what this person is at, nil when they have done
      def current(key)
        last = of(key).last
        last if last && last.left.nil?
      end

      private

      def steps_of(person)
        here = @evening.people[person.key]
        first = @evening.started + (person.begins * 60)
        came = first
        done = (0...here.place).select { |place| here.times.key?(place) }.map do |place|
          left = [came, @evening.started + clock(here, place)].max
          Step.new(person, place, person.tasks[place], came, left).tap { came = left }
        end
        here.done? ? done : [*done, Step.new(person, here.place, person.tasks[here.place], [here.since, first].max)]
      end

      # @return [Numeric] seconds from the start until a step was left
      def clock(here, place)
        (0..place).sum { |before| here.times.fetch(before, []).sum }
      end

      def see
        @steps.each do |step|
          index = step.task.demonstration
          step.ready = index.nil? || @evening.shown.include?(@model.demonstrations[index].label) ? step.came : seen_at(step, index)
        end
      end

      def seen_at(step, index)
        showing = @model.demonstrations[index]
        now = @evening.showing
        return now.since + (showing.minutes * 60) if now && now.technique == showing.label
        return if group_at(index).nil?

        step.came > group_at(index) ? step.came + (showing.alone * 60) : group_at(index) + (showing.minutes * 60)
      end

      # @return [Numeric, nil] seconds at which as many as a demonstration waits for had come to it
      def group_at(index)
        (@group_at ||= {}).fetch(index) do
          came = there(index)
          gone_past = came.any? && @steps.any? { |step| step.task.demonstration == index && step.left }
          @group_at[index] = came[quorum(index) - 1] || (came.last if gone_past)
        end
      end

      # Where all who are missing wait for tools, nobody else can go on: it is shown without them.
      # @return [Boolean] whether any was
      def begun_without_some?
        @model.demonstrations.each_index.select { |index| group_at(index).nil? && held_up?(index) }
          .each { |index| @group_at[index] = there(index).last }.any?
      end

      def held_up?(index)
        missing = @people.select { |person| person.tasks.any? { |task| task.demonstration == index } } - there(index, &:person)
        there(index).any? && missing.all? { |person| (at = current(person.key)) && at.ready && at.began.nil? }
      end

      # @return [Array] when those who came to a demonstration did, the first first; or what is asked of their steps
      def there(index, &asked)
        steps = @steps.select { |step| step.task.demonstration == index }
        asked ? steps.map(&asked) : steps.map(&:came).sort
      end

      # Nobody waits for who is not there.
      def quorum(index)
        need = @people.count { |person| person.tasks.any? { |task| task.demonstration == index } }
        [[@model.demonstrations[index].quorum, need].min, 1].max
      end

      def take_tools
        held = Hash.new { |all, tool| all[tool] = [] }
        @steps.select(&:ready).sort_by { |step| [step.ready, step.left || Float::INFINITY] }.each do |step|
          wanted = (step.task.takes || step.task.tools).slice(*@model.tools.keys).select { |_, number| number.positive? }
          began = wanted.map { |tool, number| free_from(step.ready, held[tool], @model.tools[tool] - number) }.max || step.ready
          # A person who went on had the tools, even where the taps of others say otherwise.
          step.began = step.left ? [began, step.left].min : began
          step.began = nil if step.began == Float::INFINITY
          next if step.began.nil?

          wanted.each { |tool, number| number.times { held[tool] << [step.began, freed(step, tool)] } }
        end
      end

      # @param held [Array<(Numeric, Numeric)>] from when to when others hold one @return [Numeric] when no more than so many are held
      def free_from(ready, held, most)
        [ready, *held.map(&:last).select { |freed| freed > ready }.sort].find do |at|
          held.count { |from, to| from <= at && at < to } <= most
        end || Float::INFINITY
      end

      # @return [Numeric] seconds at which this person gave the tool back
      def freed(step, tool)
        giving = of(step.person.key).find { |one| one.place >= step.place && (one.task.gives || one.task.tools).key?(tool) }
        giving&.left || Float::INFINITY
      end
    end
  end
end
