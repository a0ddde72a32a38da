# frozen_string_literal: true

module Core
  module Live
    # A class as it stands: a pure function of its plan and of what happened. What makes no sense where it stands (a step of somebody who
    # is not there, a second start) is left out and changes nothing.
    class Evening
      # One attendee. place: which of their tasks, from 0; as many as there are when all is done · since: seconds at which they came to it
      # hand: seconds at which they called, nil when they do not · here · times: {place => [seconds spent]}, of what is done
      Person = Value.define(:key, :tasks, place: 0, since: nil, hand: nil, here: true, times: {}.freeze) do
        # @return [Session::Task, nil] nil when all is done
        def task
          tasks[place]
        end

        def done?
          place >= tasks.size
        end

        # @return [Float] minutes at their task
        def minutes(now)
          since ? [now - since, 0].max / 60.0 : 0.0
        end
      end

      attr_reader :started, :ended, :people, :taken

      # @param plan [Plan] @param events [Array<Event>] in the order in which they came in; told twice, they count once
      # @return [Evening]
      def self.of(plan, events)
        new(plan, events)
      end

      def initialize(plan, events)
        once = events.uniq(&:key)
        undone = once.filter_map { |event| event.undoes if event.kind == :undo }
        @people = plan.people.select(&:fitted?).to_h { |one| [one.attendee.key, Person.new(key: one.attendee.key, tasks: one.tasks)] }
        @taken = []
        once.reject { |event| event.kind == :undo || undone.include?(event.key) }.sort_by.with_index { |event, i| [event.at, i] }.each do |event|
          @taken << event if take(event)
        end
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

      private

      def take(event)
        case event.kind
        when :start then begin_at(event.at)
        when :end then running? && @ended = event.at
        else about(event)
        end
      end

      def begin_at(at)
        return false if started

        @people = people.transform_values { |person| person.with(since: at) }
        @started = at
      end

      def about(event)
        person = people[event.person] or return false
        changed = running? || %i[absent here].include?(event.kind) ? change(person, event) : nil
        changed && @people = people.merge(person.key => changed)
      end

      # @return [Person, nil] nil where it makes no sense
      def change(person, event)
        case event.kind
        when :absent then person.with(here: false, hand: nil) if person.here
        when :here then person.with(here: true, since: started && event.at) unless person.here
        when :hand then person.with(hand: event.at) if person.here && person.hand.nil?
        when :helped then person.with(hand: nil) if person.hand
        when :next then step(person, 1, event.at) if person.here && !person.done?
        when :back then step(person, -1, event.at) if person.here && person.place.positive?
        end
      end

      # Time at a step that was left by mistake is added when it is gone back to.
      def step(person, by, at)
        spent = person.times.fetch(person.place, []) + [at - person.since]
        person.with(place: person.place + by, since: at, hand: nil,
          times: by.positive? ? person.times.merge(person.place => spent) : person.times)
      end
    end
  end
end
