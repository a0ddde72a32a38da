# frozen_string_literal: true

module Core
  module Live
    # A class as it stands: a pure function of its plan and of what happened. What makes no sense where it stands (a step of someone who
    # is not there, a second start) is left out and changes nothing.
    class LiveState
      # One attendee.
      #
      # @param place which of their tasks, from 0; as many as there are when all is done
      # @param since seconds at which they came to it
      # @param hand seconds at which they called, nil when they do not
      # @param times {place => [seconds spent]}, of what is done
      # @param measured Measure::Length inside at a checkpoint, nil before
      # @param spares [part key] used for what was lost or spoiled
      # @param rejects [part key] of parts that were no good
      # @param left_out [step key] of what is left out
      # @param kit whether they have theirs
      # @param problem [String, nil] mark of the fault that was seen at their step
      # @param helped {place => seconds from calls to when they were helped}, of tasks at which they called
      Person = Value.define(:key, :tasks, place: 0, since: nil, hand: nil, here: true, times: {}.freeze, measured: nil, spares: [].freeze,
        rejects: [].freeze, left_out: [].freeze, kit: false, helped: {}.freeze, problem: nil) do
        # @return [Steps::Task, nil] nil when all is done
        def task
          tasks[place]
        end

        def done?
          place >= tasks.size
        end

        # @return [Array<Steps::Task>] what is still to do, the one they are at first
        def left
          tasks.drop(place).reject.with_index { |task, i| i.positive? && left_out.include?(task.step.key) }
        end

        # @return [Float] minutes at their task
        def minutes(now)
          since ? [now - since, 0].max / 60.0 : 0.0
        end
      end

      # A demonstration under way.
      #
      # @param technique its key
      # @param since seconds
      Showing = Value.define(:technique, :since)

      # tools_in: {tool key => how many were counted in} · tools_out: {tool key => how many were handed out}
      # showing: Showing, nil when nothing is being shown · shown: [technique key] of what was shown
      attr_reader :started, :ended, :people, :taken, :tools_in, :tools_out, :showing, :shown

      # @param event [Event] @return [LiveState] as it would stand after it
      def with(event)
        LiveState.new(@plan, @taken + [event])
      end

      # @param plan [Plan] @param events [Array<Event>] in the order in which they came in; told twice, they count once
      def initialize(plan, events)
        @plan = plan
        once = events.uniq(&:key)
        undone = once.filter_map { |event| event.undoes if event.kind == :undo }
        @people = plan.people.select(&:fitted?).to_h { |one| [one.attendee.key, Person.new(key: one.attendee.key, tasks: one.tasks)] }
        @taken = []
        @tools_in = Hash.new(0)
        @tools_out = {}
        @shown = []
        standing = once.reject { |event| event.kind == :undo || undone.include?(event.key) }
        standing.sort_by.with_index { |event, i| [event.at, i] }.each { |event| @taken << event if take(event) }
        freeze
      end

      def running?
        !started.nil? && ended.nil?
      end

      # @return [Array<Person>] who are there and still at work
      def working
        people.values.select { |person| person.here && !person.done? }
      end

      # @return [Float] minutes since the class began by the plan's clock
      def minute(now)
        started ? [(ended || now) - started, 0].max / 60.0 : 0.0
      end

      # @param task [Steps::Task, nil] @return [Measure::Length, nil] of the row laid flat, where a step asks for it
      def self.flat_length(task)
        asked = task&.step&.values.to_h[:length]
        asked if asked.is_a?(Measure::Length) && task.step.checkpoint && task.step.key.end_with?('/check_length')
      end

      private

      def take(event)
        case event.kind
        when :start then begin_at(event.at)
        when :end then running? && @ended = event.at
        when :tool_in then started && @tools_in[event.detail] += 1
        when :tool_out then hand_out(event.detail)
        when :kits then change_all { |person| person.here && !person.kit ? person.with(kit: true) : person }
        when :table_next then running? && table_goes_on(event)
        when :show then running? && show(event)
        when :shown then showing && end_showing(event.at)
        when :leave_out then running? && leave_out(event.detail)
        else about(event)
        end
      end

      # @return [Boolean] whether that changed anything
      def change_all(&change)
        changed = people.transform_values(&change)
        changed != people && @people = changed
      end

      def hand_out(text)
        tool, number = text.to_s.split(':')
        number.to_s.match?(/\A\d{1,3}\z/) && @tools_out[tool] = number.to_i
      end

      def table_goes_on(event)
        seated = @plan.room.seats.select { |seat| seat.table + 1 == event.detail.to_i }.map { |seat| seat.attendee.key }
        change_all { |person| seated.include?(person.key) && person.here && !person.done? ? step(person, 1, event.at) : person }
      end

      # One at a time.
      def show(event)
        known = people.each_value.any? { |person| person.tasks.any? { |task| task.technique.key == event.detail } }
        showing.nil? && known && @showing = Showing.new(technique: event.detail, since: event.at)
      end

      # People at the step that was shown did not work meanwhile.
      def end_showing(at)
        technique, since = showing.technique, showing.since
        @people = people.transform_values do |person|
          next person unless person.task&.technique&.key == technique

          person.with(since: person.since + at - [since, person.since].max)
        end
        @shown |= [technique]
        @showing = nil
        true
      end

      def begin_at(at)
        return false if started

        @people = people.transform_values { |person| person.with(since: at) }
        @started = at
      end

      # Only what can be left out, and is still before someone.
      def leave_out(step)
        change_all do |person|
          ahead = person.tasks.drop(person.place + 1).any? { |task| task.step.key == step && task.step.optional }
          ahead ? person.with(left_out: person.left_out | [step]) : person
        end
      end

      def about(event)
        person = people[event.person] or return false
        changed = running? || %i[absent here kit].include?(event.kind) ? change(person, event) : nil
        changed && @people = people.merge(person.key => changed)
      end

      # @return [Person, nil] nil where it makes no sense
      def change(person, event)
        case event.kind
        when :absent then person.with(here: false, hand: nil) if person.here
        when :here then person.with(here: true, since: started && event.at) unless person.here
        when :hand then person.with(hand: event.at) if person.here && person.hand.nil?
        when :helped then answered(person, event.at).with(hand: nil) if person.hand
        when :finished then person.with(place: person.tasks.size, since: event.at, hand: nil) if person.here
        when :measured then measured(person, event.detail)
        when :measured_flat then measured_flat(person, event.detail)
        when :kit then person.with(kit: true) if person.here && !person.kit
        when :spare then person.with(spares: person.spares + [event.detail]) if person.here
        when :reject then person.with(rejects: person.rejects + [event.detail]) if person.here
        when :problem then person.with(problem: event.detail) if person.here && !person.done?
        when :next then step(person, 1, event.at) if person.here && !person.done?
        when :back then step(person, -1, event.at) if person.here && person.place.positive?
        end
      end

      def measured(person, text)
        person.with(measured: Measure::Length.parse(text)) if person.here
      rescue Measure::NotALength
        nil
      end

      # A row that is longer than its step asks for makes a piece that is as much longer inside.
      def measured_flat(person, text)
        asked = LiveState.flat_length(person.task)
        piece = @plan.person(person.key)&.piece
        return unless person.here && asked && piece

        person.with(measured: piece.inside + ((Measure::Length.parse(text) - asked) / piece.wraps))
      rescue Measure::NotALength
        nil
      end

      # A person who goes on needs no more help.
      def answered(person, at)
        return person if person.hand.nil?

        person.with(helped: person.helped.merge(person.place => person.helped.fetch(person.place, 0) + at - person.hand))
      end

      # @return [Integer] the next place in a direction that is not left out
      def place_beyond(person, by)
        place = person.place + by
        place += by while person.tasks[place] && place.positive? && person.left_out.include?(person.tasks[place].step.key)
        place
      end

      # Time at a step that was left by mistake is added when it is gone back to.
      def step(person, by, at)
        spent = person.times.fetch(person.place, []) + [at - person.since]
        answered(person, at).with(place: place_beyond(person, by), since: at, hand: nil, problem: nil,
          times: by.positive? ? person.times.merge(person.place => spent) : person.times)
      end
    end
  end
end
