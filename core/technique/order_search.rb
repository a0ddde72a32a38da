# frozen_string_literal: true

require 'tsort'

module Core
  module Technique
    # Finds the order: what must come first does; then easier before harder, the hardest not last, few changes of tools,
    # nothing straight after glue, and what is better done first where schools allow both.
    #
    # Dynamic programming over the sets of steps done (Held and Karp, Journal of SIAM 10, 1962), which is exact; where there
    # are too many sets it keeps the best of each size, a beam search (Lowerre, The Harpy Speech Recognition System, 1976).
    class OrderSearch
      WEIGHTS = { harder_first: 10, misplaced: 10, late: 8, changes: 2, hurried: 6, against: 4 }.freeze
      # What a step puts on where it closes an end.
      ENDS = %i[crimp cover clamshell cap].freeze
      # Of equal orders, the one that keeps to how the work was declared.
      DECLARED = 1e-3
      LAST_PART = 0.8
      MOST_SETS = 300
      BEAM = 12
      # Of two ways to have done the same steps, one that costs this much more can never become the better one.
      BEYOND_HOPE = WEIGHTS[:changes] + WEIGHTS[:hurried] + 0.5

      # Where a search stands. done: bits of steps · ready: indexes of those whose needs are done · last: index · levels: how many of each
      # level are done, packed ten bits a level
      # seconds: of them · before: the state it came from, so that the way here need not be copied
      State = Struct.new(:done, :ready, :last, :levels, :seconds, :cost, :before) do
        # @return [Array<Integer>] indexes in order
        def path
          state = self
          indexes = []
          while state.last
            indexes.unshift(state.last)
            state = state.before
          end
          indexes
        end
      end
      # A step that may come next.
      Move = Struct.new(:state, :index, :cost)
      LEVEL_BITS = 10
      LEVEL_MASK = (1 << LEVEL_BITS) - 1

      # @param minutes [#call, nil] see Order.of @param school [Symbol] one of Teaching::SCHOOLS
      def initialize(steps, table, minutes = nil, school: :gentle)
        @steps = steps
        @school = school
        @ends = steps.each_index.select { |i| steps[i].adds.intersect?(ENDS) }.sum { |i| 1 << i }
        skills = steps.map { |step| table.technique(step.technique) }
        @levels = skills.map(&:level)
        @held = skills.map { |skill| skill.tools.sort }
        @tools = @held.map { |tools| @held.index(tools) }
        @seconds = steps.zip(skills).map do |step, skill|
          minutes ? minutes.call(step) * 60 : (skill.seconds * step.effort * step.repeats).to_f
        end
        @late_from = @seconds.sum * LAST_PART
        @hardest = [@levels.max.to_i, 2].max
        @at = steps.each_with_index.to_h { |step, i| [step.key, i] }
        @needs = steps.map { |step| mask(step.after) }
        @rather = steps.map { |step| mask(step.rather_after) }
        @unlocks = steps.each_index.map { |i| @needs.each_index.select { |other| @needs[other][i] == 1 } }
        @start = State.new(0, @needs.each_index.select { |i| @needs[i].zero? }, nil, 0, 0.0, 0.0, nil)
      end

      # @return [Order]
      def best
        states = [@start]
        exact = true
        @steps.size.times do |placed|
          moves = moves(states, placed)
          if moves.size > MOST_SETS
            exact = false
            moves = moves.min_by(BEAM, &:cost)
          end
          states = moves.map { |move| follow(move.state, move.index, move.cost) }
        end
        told(states.min_by(&:cost).path, exact)
      end

      # @param keys [Array<String>] those it does not know are left out, those it lacks come where their needs first allow
      # @return [Order] as wanted, with what it breaks
      def by_hand(keys)
        path = keys.filter_map { |key| @at[key] }.uniq
        found = best
        (found.steps.map { |step| @at[step.key] } - path).each { |i| path.insert(first_place(path, i), i) }
        told(path, false, found: found.cost)
      end

      private

      def mask(keys)
        keys.sum { |key| @at[key] ? 1 << @at[key] : 0 }
      end

      def first_place(path, index)
        path.rindex { |other| @needs[index][other] == 1 }.then { |at| at ? at + 1 : 0 }
      end

      # @return [Array<Move>] the cheapest way to each set of steps done and last step
      def moves(states, placed)
        found = {}
        cheapest = {}
        states.each do |state|
          state.ready.each do |i|
            cost = state.cost + points(state, i) + (DECLARED * (placed - i).abs)
            done = state.done | (1 << i)
            least = cheapest[done]
            next if least && cost > least + BEYOND_HOPE

            cheapest[done] = cost if least.nil? || cost < least
            known = found[at = (done << LEVEL_BITS) | i]
            found[at] = Move.new(state, i, cost) if known.nil? || cost < known.cost
          end
        end
        raise Order::Cycle.new(stuck(states.first)) if found.empty?

        found.values
      end

      def follow(state, index, cost)
        done = state.done | (1 << index)
        ready = state.ready - [index]
        @unlocks[index].each { |other| ready << other if @needs[other] & done == @needs[other] }
        State.new(done, ready, index, state.levels + (1 << (LEVEL_BITS * @levels[index])), state.seconds + @seconds[index], cost, state)
      end

      # What putting this step next costs.
      def points(state, index)
        last = state.last
        points = (WEIGHTS[:harder_first] * harder(state, index)) + (WEIGHTS[:misplaced] * misplaced(state, index))
        points += WEIGHTS[:late] if late?(state, index)
        points += WEIGHTS[:changes] if last && @tools[last] != @tools[index]
        points += WEIGHTS[:hurried] if last && hurried?(last, index)
        points += WEIGHTS[:against] * against(state, index) if @rather[index].positive?
        points
      end

      # How far above this step's level those lie that were done before it, added up.
      def harder(state, index)
        return 0 unless @school == :gentle

        level = @levels[index]
        above = state.levels >> (LEVEL_BITS * (level + 1))
        sum = 0
        distance = 1
        while above.positive?
          sum += distance * (above & LEVEL_MASK)
          above >>= LEVEL_BITS
          distance += 1
        end
        sum
      end

      # What goes against the other schools: easier work before harder while all are fresh, ends that wait, or ends that do not.
      def misplaced(state, index)
        case @school
        when :hardest then easier(state, index)
        when :ends_early then @ends[index] == 1 ? (state.done & ~@ends).digits(2).sum : 0
        when :ends_late then @ends[index] == 1 ? 0 : (state.done & @ends).digits(2).sum
        else 0
        end
      end

      # How far below this step's level those lie that were done before it, added up.
      def easier(state, index)
        (1...@levels[index]).sum { |level| (@levels[index] - level) * ((state.levels >> (LEVEL_BITS * level)) & LEVEL_MASK) }
      end

      def late?(state, index)
        @levels[index] >= @hardest && state.seconds >= @late_from
      end

      def hurried?(last, index)
        @steps[last].waits.positive? && @needs[index][last] == 1
      end

      def against(state, index)
        left = @rather[index] & ~state.done
        left.zero? ? 0 : left.digits(2).sum
      end

      # Only those that wait for each other, not those that merely wait for them.
      def stuck(state)
        waiting = @steps.each_index.reject { |i| state.done[i] == 1 }
        each_child = ->(i, &block) { waiting.select { |other| @needs[i][other] == 1 }.each(&block) }
        TSort.strongly_connected_components(->(&block) { waiting.each(&block) }, each_child).max_by(&:size).sort.map { |i| @steps[i].key }
      end

      def told(path, exact, found: nil)
        Order.new(steps: path.map { |i| @steps[i] }, exact: exact, found: found, cost: cost(path), broken: broken(path),
          reasons: path.each_index.map { |place| found ? Order::Reason.new(code: :by_hand) : reason(path, place) })
      end

      def cost(path)
        state = @start
        sums = Order::Cost::FIELDS.to_h { |name| [name, 0] }
        path.each do |index|
          last = state.last
          sums[:harder_first] += harder(state, index)
          sums[:misplaced] += misplaced(state, index)
          sums[:late] += 1 if late?(state, index)
          sums[:changes] += 1 if last && @tools[last] != @tools[index]
          sums[:hurried] += 1 if last && hurried?(last, index)
          sums[:against] += against(state, index)
          state = follow(state, index, 0.0)
        end
        Order::Cost.new(**sums)
      end

      def broken(path)
        path.each_with_index.flat_map { |index, place|
          path.drop(place + 1).select { |later|
            @needs[index][later] == 1
          }.map { |later| [@steps[later], @steps[index]] }
        }
      end

      def reason(path, place)
        index = path[place]
        return Order::Reason.new(code: :begins) if place.zero?

        free = (path.first(place).rindex { |other| @needs[index][other] == 1 } || -1) + 1
        return Order::Reason.new(code: :follows, step: @steps[path[place - 1]]) if free == place

        code_between(path[free...place], index, path[place - 1])
      end

      SCHOOL_REASONS = { gentle: :easier_first, hardest: :harder_first, ends_early: :end_first, ends_late: :end_last }.freeze

      # @return [Integer, nil] what stands before this step because the school wants it so
      def against_school(passed, index)
        case @school
        when :gentle then passed.find { |other| @levels[other] < @levels[index] }
        when :hardest then passed.find { |other| @levels[other] > @levels[index] }
        when :ends_early then @ends[index] == 1 ? nil : passed.find { |other| @ends[other] == 1 }
        when :ends_late then @ends[index] == 1 ? passed.find { |other| @ends[other].zero? } : nil
        end
      end

      def code_between(passed, index, before)
        other = against_school(passed, index)
        return Order::Reason.new(code: SCHOOL_REASONS.fetch(@school), step: @steps[other]) if other
        return Order::Reason.new(code: :drying, step: @steps[before]) if @steps[before].waits.positive?

        rather = passed.find { |other| @rather[index][other] == 1 }
        return Order::Reason.new(code: :rather_after, step: @steps[rather]) if rather

        same = @held[index].any? && @tools[before] == @tools[index]
        Order::Reason.new(code: same ? :same_tools : :as_declared, step: (@steps[before] if same))
      end
    end
  end
end
