# frozen_string_literal: true

module Core
  module Session
    # One run of a session: a queue of moments, one for each person and one for the demonstration under way; the earliest
    # happens next and names what it is. What is waited for has no moment until it comes.
    #
    # Everything a person does is counted: what kind of time, and how much. Inside, time is whole ticks of a millisecond: exact, and quick
    # to compare; outside it is minutes.
    class Engine
      TICKS = 60_000
      FOREVER = 1 << 60
      COARSE_BITS = Spread::COARSE.bit_length - 1
      KINDS = %i[away work tools group help helped watching checkpoint checked drying optional done].freeze
      AWAY, WORK, TOOLS, GROUP, HELP, HELPED, WATCHING, CHECKPOINT, CHECKED, DRYING, OPTIONAL, DONE = *0...KINDS.size

      # The rank of a visit leaves the last bits of its number to chance.
      CHOICES = 1 << COARSE_BITS
      # By kind, whether it is work, and whether somebody who does it can come to a neighbour.
      BUSY = KINDS.map { |kind| %i[work optional].include?(kind) }.freeze
      IDLE = KINDS.map { |kind| %i[tools group drying optional done].include?(kind) }.freeze

      # @param model [Model]
      def initialize(model)
        @model = model
        @people = model.people.size
        @begins = model.people.map { |person| ticks(person.begins) }
        @tools = model.tools.keys
        lucks = model.sigmas.map { |sigma| Luck.of(sigma, model.stuck) }
        @steps = model.people.map { |person| steps_of(person, lucks) }
        @dries = model.people.any? { |person| person.tasks.any? { |task| task.dries.positive? } }
        @must = model.people.map { |person| person.tasks.take_while { |task| !task.optional }.size }
        @between = Spread.table(model.between)
        @visits = Spread.table(HELP_SIGMA)
        @visit_ticks = model.help_minutes * TICKS
        @check_ticks = ticks(model.check_minutes)
        take_habits(model)
        @showings = model.demonstrations
        @showing_ticks = @showings.map { |showing| ticks(showing.minutes) }
        @alone_ticks = @showings.map { |showing| ticks(showing.alone) }
      end

      # How times of one spread turn out. table: multipliers by random number · stuck_from: number from which somebody is stuck
      Luck = Value.define(:table, :stuck_from) do
        def self.of(sigma, stuck)
          table = Spread.table(sigma)
          new(table: table, stuck_from: (table.bsearch_index { |luck| luck > stuck } || Spread::PLACES) * Spread::COARSE)
        end
      end

      # A task as the engine uses it. ticks: on average · walk: to fetch what it needs, in ticks
      # table: multipliers of that by random number · stuck_from: number from which somebody is stuck · tool, held: the first tool it
      # needs, nil for none · more: further ones · gives, given: the first tool it puts back, nil for none · gives_more: further ones
      # dries: ticks, nil for none · needs_dry: places of the tasks that must be dry, or nil
      # help_below: random numbers under it call for help · kind: WORK or OPTIONAL
      class Step
        attr_reader :ticks, :walk, :table, :stuck_from, :help_below, :checks, :slot, :showing, :tool, :held, :more, :gives, :given,
          :gives_more, :dries, :needs_dry, :kind

        # @param luck [Luck] @param tools [Array<String>] keys of those that can be waited for
        # @param slot [Integer] place of its random numbers @param needs_dry [Array<Integer>, nil] places of tasks
        # @param walking [Float] minutes to fetch what can be waited for
        def initialize(task, luck, tools, slot, needs_dry, walking)
          @ticks = task.minutes.to_f * TICKS
          @table = luck.table
          @stuck_from = luck.stuck_from
          @help_below = (task.help * Spread::STEPS).round
          @checks = task.check
          @slot = slot
          @dries = task.dries.positive? ? (task.dries * TICKS).round : nil
          @needs_dry = needs_dry
          @showing = task.demonstration
          @kind = task.optional ? OPTIONAL : WORK
          (@tool, @held), *more = known(task.takes || task.tools, tools)
          @walk = @tool ? (walking * TICKS).round : 0
          @more = more.empty? ? nil : more
          (@gives, @given), *gives_more = known(task.gives || task.tools, tools)
          @gives_more = gives_more.empty? ? nil : gives_more
        end

        private

        def known(numbers, tools)
          numbers.filter_map { |key, number| (at = tools.index(key)) && [at, number] }
        end
      end

      # How much one visit differs from another (from memory).
      HELP_SIGMA = 0.5

      # @param draws [(Array<Array<Array<Integer>>>, Integer)] see Draws#at
      # @param observer [#turned, #step_begun, #demonstration_begun, #shown_alone, #helped_by_neighbour, nil] told, in ticks
      #   and places, of each change of what somebody does, each step begun, each demonstration begun, each time something
      #   is shown to one person alone, and each visit of a neighbour
      # @return [Engine] itself, with what came of it
      def run(draws, observer = nil)
        @draws, @at = draws
        @observer = observer
        reset
        @people.times { |person| arrive_at(person) }
        loop do
          happens(@moments.index(@now)) while (@now = @moments.min) < FOREVER
          break unless held_up? || shares_a_tool?
        end
        self
      end

      # @return [Array<Float>] minute at which each person had done what must be done
      def finished
        @finished.map { |ticks| minutes(ticks) }
      end

      # @return [Array<Array<Float>>] minutes of each person, by kind of time
      def spent
        @spent.map { |of_people| of_people.map { |ticks| minutes(ticks) } }
      end

      # @return [Array<Float>] one person's minutes, by kind of time
      def spent_by(person)
        @spent.map { |of_people| minutes(of_people[person]) }
      end

      private

      def ticks(minutes)
        (minutes * TICKS).round
      end

      def minutes(ticks)
        ticks.fdiv(TICKS)
      end

      # What people do beside their work, none of it where the model says nothing of it.
      def take_habits(model)
        @neighbours_below = (model.neighbours * CHOICES).round
        @put_down_ticks = ticks(model.put_down)
        @tired = 1 + model.fatigue
        @tire_ticks = ticks(model.tires_after)
        @rests = model.pauses.map { |pause| ticks(pause.from) }
      end

      def reset
        @moments = Array.new(@people + 1, FOREVER)
        @does = Array.new(@people, AWAY)
        @since = Array.new(@people, 0)
        @spent = Array.new(KINDS.size) { Array.new(@people, 0) }
        @place = Array.new(@people, 0)
        @step = Array.new(@people)
        @left = Array.new(@people)
        @finished = Array.new(@people, 0)
        @pace = @draws.map { |slots| @between[slots[0][@at] >> COARSE_BITS] }
        @dry_at = Array.new(@people) { {} } if @dries
        @free = @model.tools.values
        @for_tools = []
        @helpers = @model.helpers
        @instructor = true
        @by_instructor = Array.new(@people + 1, false)
        @calls = []
        @shown = Array.new(@showings.size, false)
        @there = Array.new(@showings.size) { [] }
        @saw = Array.new(@showings.size) { [] }
        @due = []
        @showing = nil
        @rested = @rests_over = 0
      end

      # Some come late; nobody begins before their time.
      def arrive_at(person)
        own = @draws[person][0]
        late = own[@at + 1] < @model.late_share * Spread::STEPS
        after = late ? ticks(-Math.log(1 - own[@at + 2].fdiv(Spread::STEPS)) * @model.late_minutes) : 0
        @moments[person] = [@begins[person], after].max
      end

      def happens(actor)
        return demonstration_ends if actor == @people

        does = @does[actor]
        return @left[actor] ? calls_for_help(actor) : ends_step(actor) if BUSY[does]
        return goes_on(actor) if does == HELPED
        return is_checked(actor) if does == CHECKED

        does == WATCHING ? has_seen(actor) : begins_step(actor)
      end

      # From here on the person does something else.
      def turn(person, kind)
        @spent[@does[person]][person] += @now - @since[person]
        @since[person] = @now
        @does[person] = kind
        @observer&.turned(person, kind, @now, @place[person])
      end

      def waits(person, kind)
        @moments[person] = FOREVER
        turn(person, kind)
      end

      def begins_step(person)
        place = @place[person]
        @finished[person] = @now if place == @must[person]
        step = @step[person] = @steps[person][place]
        return waits(person, DONE) if step.nil?
        return comes_to_see(person, step.showing) if step.showing && !@saw[step.showing][person]
        return if step.needs_dry && waits_for_drying?(person, step)
        return works(person, step) if takes_tools?(step)

        @for_tools << person
        waits(person, TOOLS)
      end

      def works(person, step)
        @observer&.step_begun(person, @place[person], @now)
        numbers = @draws[person][step.slot]
        number = numbers[@at]
        takes = (step.ticks * step.table[number >> COARSE_BITS] * @pace[person]).to_i
        takes = (takes * @tired).to_i if @tired > 1 && tired?
        takes += step.walk
        call = numbers[@at + 1]
        if call < step.help_below || number >= step.stuck_from
          before = call < step.help_below ? takes * call / step.help_below : takes * call / Spread::STEPS
          @left[person] = takes - before
          takes = before
        end
        @moments[person] = @now + takes
        turn(person, step.kind)
      end

      # So long after the last rest.
      def tired?
        while (rest = @rests[@rests_over]) && rest <= @now
          @rested = rest
          @rests_over += 1
        end
        @now - @rested > @tire_ticks
      end

      def calls_for_help(person)
        return is_helped_by_neighbour(person) if @neighbours_below > 0 && neighbour_comes?(person)

        @helpers > 0 ? is_helped(person, put_down) : (@calls << person) && waits(person, HELP)
      end

      # Somebody who has nothing to do, or waits, comes to some of those who call.
      def neighbour_comes?(person)
        visit_number(person) % CHOICES < @neighbours_below && @does.any? { |kind| IDLE[kind] }
      end

      def is_helped_by_neighbour(person)
        takes = visit_ticks(person)
        @observer&.helped_by_neighbour(takes)
        @moments[person] = @now + takes
        @by_instructor[person] = nil
        turn(person, HELPED)
      end

      # An instructor at a piece of their own puts it down first; an assistant who is free comes at once.
      def put_down
        @helpers == 1 && @instructor ? @put_down_ticks : 0
      end

      def is_helped(person, later = 0)
        helper_comes(person)
        takes = visit_ticks(person)
        takes = (takes * @model.assistant_pace).to_i unless @by_instructor[person]
        @moments[person] = @now + takes + later
        turn(person, HELPED)
      end

      def visit_number(person)
        @draws[person][@step[person].slot][@at + 2]
      end

      def visit_ticks(person)
        (@visit_ticks * @visits[visit_number(person) >> COARSE_BITS]).to_i
      end

      # The instructor comes first, unless they are at a piece of their own and an assistant is free.
      # @param actor [Integer] who is helped, or the demonstration
      def helper_comes(actor)
        own = @instructor && (@helpers == 1 || @put_down_ticks.zero?)
        @helpers -= 1
        @instructor = false if own
        @by_instructor[actor] = own
      end

      def helper_leaves(actor)
        @instructor = true if @by_instructor[actor]
        helper_is_free
      end

      def goes_on(person)
        helper_leaves(person) unless @by_instructor[person].nil?
        @moments[person] = @now + @left[person]
        @left[person] = nil
        turn(person, @step[person].kind)
      end

      # A demonstration that is due goes before single calls.
      def helper_is_free
        @helpers += 1
        return demonstration_begins(@due.shift) unless @due.empty? || @showing
        return if @calls.empty?

        person = @calls.shift
        if @does[person] == HELP then is_helped(person)
        elsif @does[person] == GROUP then is_shown_alone(person)
        else checks(person)
        end
      end

      def ends_step(person)
        step = @step[person]
        @dry_at[person][@place[person]] = @now + step.dries if step.dries
        hand_back(step)
        return leaves_step(person) unless step.checks

        @helpers > 0 ? checks(person) : (@calls << person) && waits(person, CHECKPOINT)
      end

      def checks(person)
        helper_comes(person)
        @moments[person] = @now + @check_ticks
        turn(person, CHECKED)
      end

      def is_checked(person)
        helper_leaves(person)
        leaves_step(person)
      end

      def leaves_step(person)
        @place[person] += 1
        begins_step(person)
      end

      # The piece waits until it is dry.
      def waits_for_drying?(person, step)
        dry = step.needs_dry.filter_map { |place| @dry_at[person][place] }.max
        return false if dry.nil? || dry <= @now

        @moments[person] = dry
        turn(person, DRYING)
        true
      end

      # All it needs at once, or nothing.
      def takes_tools?(step)
        tool = step.tool or return true
        left = @free[tool] - step.held
        return false if left < 0 || (step.more && step.more.any? { |other, held| @free[other] < held })

        @free[tool] = left
        step.more&.each { |other, held| @free[other] -= held }
        true
      end

      # Whoever waits gets what there is in the order in which they came; who cannot yet does not hold up who can.
      def hand_back(step)
        return if step.gives.nil?

        @free[step.gives] += step.given
        step.gives_more&.each { |tool, number| @free[tool] += number }
        place = 0
        while (person = @for_tools[place])
          if takes_tools?(@step[person])
            @for_tools.delete_at(place)
            works(person, @step[person])
          else
            place += 1
          end
        end
      end

      # --- demonstrations

      def comes_to_see(person, showing)
        waits(person, GROUP)
        return comes_late(person) if @shown[showing]

        @there[showing] << person
        is_due(showing) if @there[showing].size >= @showings[showing].quorum
      end

      def is_due(showing)
        @shown[showing] = true
        @helpers > 0 && @showing.nil? ? demonstration_begins(showing) : @due << showing
      end

      def demonstration_begins(showing)
        helper_comes(@people)
        @showing = showing
        @moments[@people] = @now + @showing_ticks[showing]
        @there[showing].each { |person| turn(person, WATCHING) }
        @observer&.demonstration_begun(showing, @now)
      end

      def demonstration_ends
        showing = @showing
        @moments[@people] = FOREVER
        @showing = nil
        watched = @there[showing]
        watched.each do |person|
          @saw[showing][person] = true
          begins_step(person)
        end
        @there[showing] = []
        helper_leaves(@people)
      end

      # Whoever comes while or after it is shown gets it at their place.
      def comes_late(person)
        @helpers > 0 ? is_shown_alone(person) : @calls << person
      end

      def is_shown_alone(person)
        helper_comes(person)
        ticks = @alone_ticks[@step[person].showing]
        @moments[person] = @now + ticks
        turn(person, WATCHING)
        @observer&.shown_alone(ticks)
      end

      def has_seen(person)
        helper_leaves(person)
        @saw[@step[person].showing][person] = true
        begins_step(person)
      end

      # Nothing is going on but somebody waits for a demonstration that others, waiting elsewhere, hold up: it begins without them.
      def held_up?
        showing = @there.each_index.reject { |i| @shown[i] || @there[i].empty? }.max_by { |i| @there[i].size } or return false

        @now = @since.max
        is_due(showing)
        true
      end

      # Nobody can go on because each keeps what another waits for: the first to come borrows it from a neighbour.
      def shares_a_tool?
        person = @for_tools.shift or return false

        @now = @since.max
        step = @step[person]
        @free[step.tool] -= step.held
        step.more&.each { |tool, held| @free[tool] -= held }
        works(person, step)
        true
      end

      def steps_of(person, lucks)
        slots = Draws.slots(person)
        person.tasks.map do |task|
          dry = task.needs_dry.filter_map { |label| person.tasks.index { |other| other.label == label } }
          Step.new(task, lucks[task.sigma], @tools, slots.index(task.slot), dry.empty? ? nil : dry, @model.walking)
        end
      end
    end
  end
end
