# frozen_string_literal: true

module Core
  module Session
    class Engine
      # The clock of a run: the next moment of each who has one. Of equal moments that of the lower number comes first.
      class EventQueue
        # Ticks at which nothing comes any more.
        FOREVER = 1 << 60

        # now: ticks of the moment that came last
        attr_reader :now

        # @param number [Integer] of those who can have one
        def initialize(number)
          # A moment and whose it is are one number, so that the least of all tells both.
          @bits = number.bit_length
          @whose = (1 << @bits) - 1
          @next = Array.new(number)
          reset
        end

        def reset
          @next.fill(FOREVER)
          @now = 0
        end

        # @param ticks [Integer] when something comes to them
        def set(number, ticks)
          @next[number] = (ticks << @bits) | number
        end

        # Nothing comes to them until it is set.
        def take_away(number)
          @next[number] = FOREVER
        end

        # Goes on to the next moment. @return [Integer, nil] whose it is, nil where nothing comes
        def pass
          moment = @next.min
          return if moment == FOREVER

          @now = moment >> @bits
          moment & @whose
        end
      end
    end
  end
end
