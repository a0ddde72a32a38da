# frozen_string_literal: true

module Core
  module Session
    class Engine
      # How much slower people work so long after the last rest.
      class Fatigue
        # @param model [Model]
        def initialize(model)
          @slower = 1 + model.fatigue
          @tires_after = Engine.ticks(model.tires_after)
          @rests = model.pauses.map { |pause| Engine.ticks(pause.from) }
        end

        def reset
          @rested = @over = 0
        end

        # @param takes [Integer] ticks, of work that begins now
        # @return [Integer]
        def slowed(takes, now)
          while (rest = @rests[@over]) && rest <= now
            @rested = rest
            @over += 1
          end
          now - @rested > @tires_after ? (takes * @slower).to_i : takes
        end
      end
    end
  end
end
