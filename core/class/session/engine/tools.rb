# frozen_string_literal: true

module Core
  module Session
    class Engine
      # The tools that can be waited for, by number, and who waits for them.
      class Tools
        # @param numbers [Hash{String=>Integer}] how many there are of each
        def initialize(numbers)
          @all = numbers.values
          @free = []
          @waiting = []
        end

        def reset
          @free.replace(@all)
          @waiting.clear
        end

        # All that a step needs at once, or nothing.
        # @param step [Step] @return [Boolean] whether it is taken
        def take(step)
          tool = step.tool or return true
          left = @free[tool] - step.held
          return false if left < 0 || (step.more && step.more.any? { |other, held| @free[other] < held })

          @free[tool] = left
          step.more&.each { |other, held| @free[other] -= held }
          true
        end

        # @param person [Person] who comes last
        def wait(person)
          @waiting << person
        end

        # People who wait are served in the order in which they came; one who cannot be served yet does not hold up the others.
        # @param step [Step] that gives something back
        def hand_back(step, now)
          @free[step.gives] += step.given
          step.gives_more&.each { |tool, number| @free[tool] += number }
          place = 0
          while (person = @waiting[place])
            if take(person.step)
              @waiting.delete_at(place)
              person.works(now)
            else
              place += 1
            end
          end
        end

        # Nobody can go on because each keeps what another waits for: the first to come borrows it from a neighbour.
        # @return [Boolean] whether someone does
        def share(now)
          person = @waiting.shift or return false
          step = person.step
          @free[step.tool] -= step.held
          step.more&.each { |tool, held| @free[tool] -= held }
          person.works(now)
          true
        end
      end
    end
  end
end
