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
      # Sets and last steps of one size that are followed, and to how many they are cut, once it is not exact.
      MOST_FOLLOWED = 60
      BEAM = 24
      # Of two ways to have done the same steps, one that costs this much more can never become the better one.
      BEYOND_HOPE = WEIGHTS[:changes] + WEIGHTS[:hurried] + 0.5

      # Where a search stands. done: bits of steps · ready: indexes of those whose needs are done · last: index · ahead: for each level,
      # how far a step of it would be misplaced before all that is still to do, so many bits a level
      # seconds: of those done · before: the state it came from, so that the way here need not be copied
      State = Struct.new(:done, :ready, :last, :ahead, :seconds, :cost, :before) do
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

      # @param minutes [#call, nil] see Order.of @param school [Symbol] one of Teaching::SCHOOLS
      def initialize(steps, table, minutes = nil, school: :gentle)
        @steps = steps
        @school = school
        @counted = school == :gentle ? :harder_first : :misplaced
        @weight = WEIGHTS[@counted]
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
        @bits = steps.each_index.map { |i| 1 << i }
        @step_bits = steps.size.bit_length
        @level_bits = (steps.size * @hardest).bit_length
        @level_mask = (1 << @level_bits) - 1
        @shifts = @levels.map { |level| @level_bits * level }
        @before = (0..@hardest).map { |level| before(level) }
        @in_any_case = steps.each_index.map { |i| misplaced_in_any_case(i) }
        @following = {}
        @start = State.new(0, @needs.each_index.select { |i| @needs[i].zero? }, nil, @levels.sum { |level| @before[level] }, 0.0, 0.0, nil)
      end

      # @return [Order]
      def best
        states = [@start]
        exact = true
        step_mask = (1 << @step_bits) - 1
        @steps.size.times do |placed|
          costs, from = moves(states, placed)
          if costs.size > (exact ? MOST_SETS : MOST_FOLLOWED)
            exact = false
            costs = costs.min_by(BEAM) { |_, cost| cost }
          end
          states = costs.map { |move, cost| follow(from[move], move & step_mask, cost) }
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

      # The cheapest way to each set of steps done and last step, each a move: bits of what is done then, with the step in the last ones.
      # @return [(Hash{Integer=>Float}, Hash{Integer=>State})] what each move costs, and the state it starts from
      def moves(states, placed)
        costs, from, cheapest = {}, {}, {}
        declared = @steps.each_index.map { |i| DECLARED * (placed - i).abs }
        states.each do |state|
          following = following(state.last)
          state.ready.each do |i|
            cost = state.cost + (following[i] + points(state, i)) + declared[i]
            done = state.done | @bits[i]
            least = cheapest[done]
            next if least && cost > least + BEYOND_HOPE

            cheapest[done] = cost if least.nil? || cost < least
            known = costs[move = (done << @step_bits) | i]
            next unless known.nil? || cost < known

            costs[move] = cost
            from[move] = state
          end
        end
        raise Order::Cycle.new(stuck(states.first)) if costs.empty?

        [costs, from]
      end

      def follow(state, index, cost)
        done = state.done | @bits[index]
        ready = state.ready.dup
        ready.delete(index)
        @unlocks[index].each { |other| ready << other if @needs[other] & done == @needs[other] }
        State.new(done, ready, index, state.ahead - @before[@levels[index]], state.seconds + @seconds[index], cost, state)
      end

      # What putting this step next costs, whatever comes right before it.
      def points(state, index)
        points = @weight * (misplaced(state, index) - @in_any_case[index])
        points += WEIGHTS[:late] if late?(state, index)
        @rather[index].zero? ? points : points + (WEIGHTS[:against] * against(state, index))
      end

      # @param last [Integer, nil] step just done @return [Array<Integer>] what putting each of the steps right after it costs
      def following(last)
        @following[last] ||= @steps.each_index.map do |index|
          next 0 if last.nil?

          (@tools[last] == @tools[index] ? 0 : WEIGHTS[:changes]) + (hurried?(last, index) ? WEIGHTS[:hurried] : 0)
        end
      end

      # @return [Integer] what a step of this level, while it is to do, adds to State#ahead: how far each level lies above it, or below it
      #   where the hardest should come while all are fresh
      def before(level)
        (0..@hardest).sum { |other| levels_misplaced(other, level) << (@level_bits * other) }
      end

      # @return [Integer] by how many levels a step is misplaced before another
      def levels_misplaced(level, other)
        case @school
        when :gentle then [level - other, 0].max
        when :hardest then [other - level, 0].max
        else 0
        end
      end

      # What waits for a step comes after it in every order. @return [Integer]
      def misplaced_in_any_case(index)
        followers(index).sum { |other| levels_misplaced(@levels[index], @levels[other]) }
      end

      # @return [Array<Integer>] all that wait for a step, and for those that do
      def followers(index)
        found = []
        waiting = @unlocks[index]
        until waiting.empty?
          found |= waiting
          waiting = waiting.flat_map { |other| @unlocks[other] }.uniq - found
        end
        found
      end

      # What goes against the school: by how many levels work comes before what is to do and should come first, ends that wait, or ends
      # that do not.
      def misplaced(state, index)
        case @school
        when :ends_early then @ends[index] == 1 ? (state.done & ~@ends).digits(2).sum : 0
        when :ends_late then @ends[index] == 1 ? 0 : (state.done & @ends).digits(2).sum
        else (state.ahead >> @shifts[index]) & @level_mask
        end
      end

      def late?(state, index)
        state.seconds >= @late_from && @levels[index] >= @hardest
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
          sums[@counted] += misplaced(state, index)
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
