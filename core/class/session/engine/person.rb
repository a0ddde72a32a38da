# frozen_string_literal: true

module Core
  module Session
    class Engine
      # One person in a run: what they do, and what comes next. now: ticks
      class Person
        # By kind, whether it is work, and whether someone who does it can come to a neighbour.
        BUSY = KINDS.map { |kind| %i[work optional].include?(kind) }.freeze
        IDLE = KINDS.map { |kind| %i[tools group drying optional done].include?(kind) }.freeze

        # What the numbers of a slot are for; see RandomStreams.
        TIME, CALL, VISIT = *RandomStreams::PLACES
        # And a person's own.
        PACE, LATE, LATENESS = *RandomStreams::PLACES

        # number: of the person · step: the one they are at, nil when all is done · spent: [Integer] ticks by kind of time
        # finished: at which all was done that must be
        attr_reader :number, :step, :spent, :finished

        # @param number [Integer] @param steps [Array<Step>] in order @param room [Classroom]
        def initialize(number, steps, room)
          @number = number
          @steps = steps
          @must = steps.take_while { |step| step.kind == WORK }.size
          @moments = room.moments
          @tools = room.tools
          @helpers = room.helpers
          @showings = room.showings
          @fatigue = room.fatigue
          @model = room.model
          @begins = Engine.ticks(@model.people[number].begins)
          @paces = Spread.table(@model.between)
          @spent = Array.new(KINDS.size)
          @dry_at = {}
        end

        # Some come late; nobody begins before their time.
        # @param bytes [Array<String>] of their random numbers, by slot @param first [Integer] where this run's begin, see RandomStreams#at
        # @param evening [Float] multiple of all work, the same for everyone
        # @param observer [Object, nil] see Engine#run
        def reset(bytes, first, evening, observer)
          @bytes = bytes
          @first = first
          @observer = observer
          @does = AWAY
          @since = @place = @finished = 0
          @step = @left = @by_instructor = nil
          @spent.fill(0)
          @dry_at.clear
          @pace = @paces[own(PACE) >> COARSE_BITS] * evening
          late = late_by
          @moments.set(@number, late > @begins ? late : @begins)
        end

        # Their moment has come.
        def happens(now)
          return @left ? calls_for_help(now) : ends_step(now) if BUSY[@does]
          return goes_on(now) if @does == HELPED
          return is_checked(now) if @does == CHECKED

          @does == WATCHING ? has_seen(now) : begins_step(now)
        end

        # From here on they do this. Who goes on with the same kind is counted when they end.
        def turn(kind, now)
          unless kind == @does
            @spent[@does] += now - @since
            @since = now
            @does = kind
          end
          @observer&.turned(@number, kind, now, @place)
        end

        def begins_step(now)
          place = @place
          @finished = now if place == @must
          step = @step = @steps[place]
          return waits(DONE, now) if step.nil?
          return comes_to_see(@showings[step.showing], now) if step.showing && !@showings[step.showing].seen_by?(self)
          return if step.needs_dry && waits_for_drying?(step, now)
          return works(now) if @tools.take(step)

          @tools.wait(self)
          waits(TOOLS, now)
        end

        # Begins to work: the tools are there.
        def works(now)
          step = @step
          @observer&.step_begun(@number, @place, now)
          number = drawn(step.slot, TIME)
          takes = (step.ticks * step.table[number >> COARSE_BITS] * @pace).to_i
          takes = @fatigue.slowed(takes, now) if @fatigue
          takes += step.walk
          call = drawn(step.slot, CALL)
          if call < step.help_below || number >= step.stuck_from
            before = takes * call / (call < step.help_below ? step.help_below : Spread::STEPS)
            @left = takes - before
            takes = before
          end
          @moments.set(@number, now + takes)
          turn(step.kind, now)
        end

        # One of those who help is free.
        def attended(now)
          case @does
          when HELP then is_helped(now)
          when GROUP then is_shown_alone(now)
          else is_looked_at(now)
          end
        end

        def is_shown_alone(now)
          @by_instructor = @helpers.come
          alone = @showings[@step.showing].alone
          @moments.set(@number, now + alone)
          turn(WATCHING, now)
          @observer&.shown_alone(alone)
        end

        # @return [Boolean] whether they could come to a neighbour
        def idle?
          IDLE[@does]
        end

        private

        # @param number [Integer] what for @return [Integer] from 0 to 65535
        def drawn(slot, number)
          bytes = @bytes[slot]
          place = @first + number
          bytes.getbyte(place) | (bytes.getbyte(place + 1) << 8)
        end

        def own(number)
          drawn(0, number)
        end

        # @return [Integer] ticks
        def late_by
          return 0 unless own(LATE) < @model.late_share * Spread::STEPS

          Engine.ticks(-Math.log(1 - own(LATENESS).fdiv(Spread::STEPS)) * @model.late_minutes)
        end

        def waits(kind, now)
          @moments.take_away(@number)
          turn(kind, now)
        end

        def ends_step(now)
          step = @step
          @dry_at[@place] = now + step.dries if step.dries
          @tools.hand_back(step, now) if step.gives
          return leaves_step(now) unless step.checks
          return is_looked_at(now) if @helpers.free?

          @helpers.call(self)
          waits(CHECKPOINT, now)
        end

        def leaves_step(now)
          @place += 1
          begins_step(now)
        end

        # --- help

        def calls_for_help(now)
          return is_helped_by_neighbour(now) if @helpers.neighbour_comes?(visit_number)
          return is_helped(now, @helpers.put_down) if @helpers.free?

          @helpers.call(self)
          waits(HELP, now)
        end

        def is_helped_by_neighbour(now)
          @by_instructor = nil
          takes = @helpers.visit(visit_number, nil)
          @observer&.helped_by_neighbour(takes)
          @moments.set(@number, now + takes)
          turn(HELPED, now)
        end

        # @param later [Integer] ticks until the helper is there
        def is_helped(now, later = 0)
          @by_instructor = @helpers.come
          @moments.set(@number, now + @helpers.visit(visit_number, @by_instructor) + later)
          turn(HELPED, now)
        end

        def visit_number
          drawn(@step.slot, VISIT)
        end

        def goes_on(now)
          @helpers.leave(@by_instructor, now) unless @by_instructor.nil?
          @moments.set(@number, now + @left)
          @left = nil
          turn(@step.kind, now)
        end

        # --- what is looked at, what dries, what is shown

        def is_looked_at(now)
          @by_instructor = @helpers.come
          @moments.set(@number, now + @helpers.check)
          turn(CHECKED, now)
        end

        def is_checked(now)
          @helpers.leave(@by_instructor, now)
          leaves_step(now)
        end

        # The piece waits until it is dry.
        def waits_for_drying?(step, now)
          dry = step.needs_dry.filter_map { |place| @dry_at[place] }.max
          return false if dry.nil? || dry <= now

          @moments.set(@number, dry)
          turn(DRYING, now)
          true
        end

        # @param showing [Demonstrations::Showing] that the step needs
        def comes_to_see(showing, now)
          waits(GROUP, now)
          @showings.come(showing, self, now)
        end

        def has_seen(now)
          @helpers.leave(@by_instructor, now)
          @showings[@step.showing].seen_by(self)
          begins_step(now)
        end
      end
    end
  end
end
