# frozen_string_literal: true

module Core
  module Session
    class Engine
      # The demonstrations: who waits for which, and the one under way.
      class Demonstrations
        # One demonstration in a run. number: among the model's · ticks: how long · alone: for one person at their place
        # there: those who wait for it, or watch it
        class Showing
          attr_reader :number, :ticks, :alone, :there

          # @param demonstration [Model::Demonstration]
          def initialize(number, demonstration)
            @number = number
            @ticks = Engine.ticks(demonstration.minutes)
            @alone = Engine.ticks(demonstration.alone)
            @quorum = demonstration.quorum
            reset
          end

          def reset
            @shown = false
            @there = []
            @seen = {}.compare_by_identity
          end

          # @return [Boolean] whether it is over, under way, or about to begin
          def shown?
            @shown
          end

          def enough?
            @there.size >= @quorum
          end

          def show
            @shown = true
          end

          def seen_by?(person)
            @seen.key?(person)
          end

          def seen_by(person)
            @seen[person] = true
          end

          # @return [Array<Person>] who were there
          def over
            watched = @there
            @there = []
            watched.each { |person| seen_by(person) }
          end
        end

        # @param model [Model] @param helpers [Helpers] @param moments [Array<Integer>] the one after those of the people is its own
        def initialize(model, helpers, moments)
          @all = model.demonstrations.each_with_index.map { |demonstration, number| Showing.new(number, demonstration) }
          @helpers = helpers
          @moments = moments
          @number = model.people.size
          @due = []
          helpers.serve_first(self)
        end

        # @param observer [#demonstration_begun, nil] see Engine#run
        def reset(observer)
          @observer = observer
          @all.each(&:reset)
          @due.clear
          @showing = nil
        end

        # @return [Showing]
        def [](number)
          @all[number]
        end

        # A person who comes during or after the demonstration gets it at their place.
        # @param person [Person] who waits
        def come(showing, person, now)
          return @helpers.free? ? person.is_shown_alone(now) : @helpers.call(person) if showing.shown?

          showing.there << person
          is_due(showing, now) if showing.enough?
        end

        # The one under way ends.
        def happens(now)
          watched = @showing.over
          @showing = nil
          @moments.take_away(@number)
          watched.each { |person| person.begins_step(now) }
          @helpers.leave(@by_instructor, now)
        end

        # @return [Boolean] whether a demonstration that is due begins, now that a helper is free
        def take_helper(now)
          return false if @showing || @due.empty?

          begins(@due.shift, now)
          true
        end

        # Nothing is going on but someone waits for a demonstration that others, waiting elsewhere, hold up: it begins without them.
        # @return [Boolean] whether one does
        def begin_held_up(now)
          showing = @all.reject { |one| one.shown? || one.there.empty? }.max_by { |one| one.there.size } or return false
          is_due(showing, now)
          true
        end

        private

        def is_due(showing, now)
          showing.show
          @helpers.free? && @showing.nil? ? begins(showing, now) : @due << showing
        end

        def begins(showing, now)
          @by_instructor = @helpers.come
          @showing = showing
          @moments.set(@number, now + showing.ticks)
          showing.there.each { |person| person.turn(WATCHING, now) }
          @observer&.demonstration_begun(showing.number, now)
        end
      end
    end
  end
end
