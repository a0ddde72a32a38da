# frozen_string_literal: true

module Core
  module Session
    # One run of a session: a queue of moments, one for each person and one for the demonstration under way; the earliest
    # happens next, to whom it belongs. What is waited for has no moment until it comes.
    #
    # Everything a person does is counted: what kind of time, and how much. Inside, time is whole ticks of a millisecond: exact, and quick
    # to compare; outside it is minutes.
    class Engine
      TICKS = 60_000
      COARSE_BITS = Spread::COARSE.bit_length - 1
      KINDS = %i[away work tools group help helped watching checkpoint checked drying optional done].freeze
      AWAY, WORK, TOOLS, GROUP, HELP, HELPED, WATCHING, CHECKPOINT, CHECKED, DRYING, OPTIONAL, DONE = *0...KINDS.size

      # How much one visit differs from another (from memory).
      HELP_SIGMA = 0.5

      # @return [Integer] of minutes
      def self.ticks(minutes)
        (minutes * TICKS).round
      end

      # @return [Float] minutes
      def self.minutes(ticks)
        ticks.fdiv(TICKS)
      end

      # @param model [Model]
      def initialize(model)
        @evenings = Spread.table(model.together)
        @moments = EventQueue.new(model.people.size + 1)
        @people = []
        @tools = Tools.new(model.tools)
        @helpers = Helpers.new(model, @people)
        @showings = Demonstrations.new(model, @helpers, @moments)
        @fatigue = Fatigue.new(model) if model.fatigue.positive?
        room = Classroom.new(model: model, moments: @moments, tools: @tools, helpers: @helpers, showings: @showings, fatigue: @fatigue)
        Step.of(model).each_with_index { |steps, number| @people << Person.new(number, steps, room) }
        # By the place of their moment.
        @actors = [*@people, @showings]
      end

      # @param draws [(Array<Array<String>>, Integer)] see RandomStreams#at
      # @param observer [#turned, #step_begun, #demonstration_begun, #shown_alone, #helped_by_neighbour, nil] told, in ticks
      #   and places, of each change of what someone does, each step begun, each demonstration begun, each time something
      #   is shown to one person alone, and each visit of a neighbour
      # @return [Engine] itself, with what came of it
      def run(draws, observer = nil)
        reset(*draws, observer)
        pass_all_moments
        pass_all_moments while @showings.begin_held_up(@moments.now) || @tools.share(@moments.now)
        self
      end

      # @return [Array<Float>] minute at which each person had done what must be done
      def finished
        @people.map { |person| Engine.minutes(person.finished) }
      end

      # @return [Array<Array<Float>>] minutes of each person, by kind of time
      def spent
        @people.map { |person| minutes_of(person) }.transpose
      end

      # @return [Array<Float>] one person's minutes, by kind of time
      def spent_by(number)
        minutes_of(@people[number])
      end

      private

      def reset(bytes, first, observer)
        @moments.reset
        @tools.reset
        @helpers.reset
        @showings.reset(observer)
        @fatigue&.reset
        evening = @evenings[drawn_for_all(bytes.last.first, first) >> COARSE_BITS]
        @people.each { |person| person.reset(bytes[person.number], first, evening, observer) }
      end

      def drawn_for_all(bytes, place)
        bytes.getbyte(place) | (bytes.getbyte(place + 1) << 8)
      end

      def pass_all_moments
        while (number = @moments.pass)
          @actors[number].happens(@moments.now)
        end
      end

      def minutes_of(person)
        person.spent.map { |ticks| Engine.minutes(ticks) }
      end
    end
  end
end
