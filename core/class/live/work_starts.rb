# frozen_string_literal: true

module Core
  module Live
    # When the work at each step began, as far as the taps tell: they say when someone came to a step and left it, not what they waited for
    # meanwhile. What is shown comes first, to the group once all are there; then the tools that the step takes, first come, first served,
    # each free again when the step that frees it was left.
    class WorkStarts
      # What is tapped within seconds of the step before was done with it: its tap was forgotten.
      TOGETHER_SECONDS = 15

      # One step of one person, in seconds. came, left: as tapped, left nil while they are at it · ready: seen what is shown before it, nil
      # while the group is not there · began: nil while it waits for tools · told_by: whose taps tell when it began, :own or :others;
      # :nobody where one of those taps was forgotten
      Step = Struct.new(:person, :place, :task, :came, :left, :ready, :began, :told_by) do
        # @return [Boolean] whether the taps tell how long it took; where others' taps say that its tools were never free, they do not
        def told?
          !left.nil? && !began.nil? && told_by != :nobody && (began < left || came == left)
        end

        # @return [Boolean] whether it was tapped within seconds of the step before
        def with_the_last?
          !left.nil? && left - came <= TOGETHER_SECONDS
        end
      end

      # A tool that someone has, in seconds. forgotten: it was free sooner than was tapped
      Held = Struct.new(:from, :to, :forgotten)
      private_constant :Held

      # @param model [Session::Model] @param evening [LiveState] running
      def initialize(model, evening)
        @model = model
        @evening = evening
        @people = model.people.select { |person| (here = evening.people[person.key]) && here.here }
        @steps = @people.flat_map { |person| steps_of(person) }
        @forgotten = Set.new.compare_by_identity
        @steps.each_cons(2) { |step, after| @forgotten << step if step.person == after.person && after.with_the_last? }
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

      # @return [Boolean] whether others may be waited for before it
      def waits?(task)
        !task.demonstration.nil? || @model.scarce(task).any?
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
          alone = index.nil? || @evening.shown.include?(@model.demonstrations[index].label)
          step.ready = alone ? step.came : seen_at(step, index)
          step.told_by = :own
          step.told_by = known?(index) ? :others : :nobody unless alone || @evening.showing&.technique == @model.demonstrations[index].label
        end
      end

      # @return [Boolean] whether everyone tapped when they came to it
      def known?(index)
        steps = @steps.select { |step| step.task.demonstration == index }
        steps.none? { |step| step.place.positive? && @forgotten.include?(of(step.person.key).find { |one| one.place == step.place - 1 }) }
      end

      def seen_at(step, index)
        showing = @model.demonstrations[index]
        now = @evening.showing
        return [now.since + (showing.minutes * 60), step.came].max if now && now.technique == showing.label
        return if group_at(index).nil?

        step.came > group_at(index) ? step.came + (showing.alone * 60) : group_at(index) + (showing.minutes * 60)
      end

      # @return [Numeric, nil] seconds at which as many as a demonstration waits for had come to it
      def group_at(index)
        (@group_at ||= {}).fetch(index) do
          came = there(index)
          all = came[quorum(index) - 1]
          gone_past = @steps.filter_map { |step| step.left if step.task.demonstration == index }.min
          @group_at[index] = gone_past && (all.nil? || all > gone_past) ? shown_without_some(index, came, gone_past) : all
        end
      end

      # Someone has gone past it while others were still to come: it was shown to those who were there by then.
      def shown_without_some(index, came, gone_past)
        over = gone_past - (@model.demonstrations[index].minutes * 60)
        came.select { |at| at <= over }.last || came.first
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
        @steps.select(&:ready).sort_by { |step| [step.ready, step.left || Float::INFINITY, step.came] }.each do |step|
          wanted = @model.scarce(step.task)
          began = wanted.map { |tool, number| free_from(step.ready, held[tool], @model.tools[tool] - number) }.max || step.ready
          # A person who went on had the tools, even where the taps of others say otherwise.
          step.began = step.left ? [began, step.left].min : began
          step.told_by = told_by(step, began, wanted.keys.flat_map { |tool| held[tool] })
          step.began = nil if step.began == Float::INFINITY
          next if step.began.nil?

          wanted.each { |tool, number| number.times { held[tool] << Held.new(step.began, *freed(step, tool)) } }
        end
      end

      # @param held [Array<Held>] of the tools that it takes
      def told_by(step, began, held)
        waited_for = held.select { |one| one.to > step.ready && one.from < began }
        return :nobody if step.told_by == :nobody || waited_for.any?(&:forgotten)

        held.empty? ? step.told_by : :others
      end

      # @param held [Array<Held>] by others @return [Numeric] when no more than so many are held
      def free_from(ready, held, most)
        [ready, *held.map(&:to).select { |freed| freed > ready }.sort].find do |at|
          held.count { |one| one.from <= at && at < one.to } <= most
        end || Float::INFINITY
      end

      # @return [(Numeric, Boolean)] seconds at which this person gave the tool back, and whether that tap was forgotten
      def freed(step, tool)
        giving = of(step.person.key).find { |one| one.place >= step.place && (one.task.gives || one.task.tools).key?(tool) }
        [giving&.left || Float::INFINITY, @forgotten.include?(giving)]
      end
    end
  end
end
