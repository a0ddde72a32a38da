# frozen_string_literal: true

module Core
  module Session
    class Engine
      # The instructor and the assistants, who waits for one of them, and the neighbours who come instead.
      class Helpers
        # The rank of a visit leaves the last bits of its number to chance.
        CHOICES = 1 << COARSE_BITS

        # ticks that a look at a checkpoint takes
        attr_reader :check

        # @param model [Model] @param people [Array<Person>] all of the run
        def initialize(model, people)
          @people = people
          @all = model.helpers
          @assistant_pace = model.assistant_pace
          @put_down = Engine.ticks(model.put_down)
          @visits = Spread.table(HELP_SIGMA)
          @check = Engine.ticks(model.check_minutes)
          @visit = model.help_minutes * TICKS
          @neighbours_below = (model.neighbours * CHOICES).round
          @calls = []
        end

        # @param showings [#take_helper] what goes before single calls
        def serve_first(showings)
          @first = showings
        end

        def reset
          @free = @all
          @instructor = true
          @calls.clear
        end

        def free?
          @free > 0
        end

        # One of them comes: the instructor, unless they are at a piece of their own and an assistant is free.
        # @return [Boolean] whether it is the instructor
        def come
          @free -= 1
          return false unless @instructor && (@free.zero? || @put_down.zero?)

          @instructor = false
          true
        end

        # @param instructor [Boolean] whether it is the instructor who leaves
        def leave(instructor, now)
          @instructor = true if instructor
          @free += 1
          return if @first.take_helper(now)

          @calls.shift&.attended(now)
        end

        # @param person [Person] who waits until one of them is free
        def call(person)
          @calls << person
        end

        # An instructor at a piece of their own puts it down first; an assistant who is free comes at once.
        # @return [Integer] ticks before the one who comes next is there
        def put_down
          @free == 1 && @instructor ? @put_down : 0
        end

        # @param number [Integer] random @param instructor [Boolean, nil] whether it is the instructor, nil for a neighbour
        # @return [Integer] ticks that a visit takes
        def visit(number, instructor)
          takes = (@visit * @visits[number >> COARSE_BITS]).to_i
          instructor == false ? (takes * @assistant_pace).to_i : takes
        end

        # Someone who has nothing to do, or waits, comes to some of those who call.
        # @param number [Integer] random
        def neighbour_comes?(number)
          @neighbours_below > 0 && number % CHOICES < @neighbours_below && @people.any?(&:idle?)
        end
      end
    end
  end
end
