# frozen_string_literal: true

module Core
  module Steps
    # What an order of steps should keep to, and what it costs where it does not: easier before harder, the hardest not last, few changes
    # of tools and of the component in hand, nothing straight after glue, and what is better done first where schools allow both.
    # A step is its index, and a set of steps is a number with one bit for each.
    class OrderRules
      WEIGHTS = { harder_first: 10, misplaced: 10, late: 8, moved: 3, changes: 2, hurried: 6, against: 4 }.freeze
      # What a step gives that closes an end.
      ENDS = %i[first_end last_end cover cap].freeze
      LAST_PART = 0.8

      # The steps done at some point, in any order. done: bits of steps · ready: indexes of those whose needs are done
      # ahead: for each level, how far a step of it would be misplaced before all that is still to do, so many bits a level
      # seconds: of those done
      Progress = Struct.new(:done, :ready, :ahead, :seconds)

      # start: [Progress] · needs, rather: bits, by index, of what must and of what should come before · bits: of each step
      # levels, held: of each step, and the tools that it takes · tools, places: by index, equal where they and the component are the same
      attr_reader :steps, :school, :start, :needs, :rather, :bits, :levels, :held, :tools, :places

      # @param minutes [#call, nil] see StepOrder.of @param school [Symbol] one of those of TeachingSettings
      def initialize(steps, table, minutes = nil, school: :gentle)
        @steps = steps
        @school = school
        @counted = school == :gentle ? :harder_first : :misplaced
        @by_ends = %i[ends_early ends_late].include?(school)
        @weight = WEIGHTS[@counted]
        read_techniques(steps.map { |step| table.technique(step.technique) }, minutes)
        read_needs
        @ends = steps.each_index.select { |i| steps[i].gives.intersect?(ENDS) }.sum { |i| bits[i] }
        count_levels
        @following = []
        @costs_first = Array.new(steps.size, 0)
        @start = Progress.new(0, @needs.each_index.select { |i| @needs[i].zero? }, @levels.sum { |level| @before[level] }, 0.0)
      end

      # @return [Integer, nil] index
      def at(key)
        @at[key]
      end

      # @return [Boolean] whether a step closes an end
      def ends?(index)
        @ends[index] == 1
      end

      # @return [Progress] with one more step done
      def after(progress, index)
        done = progress.done | @bits[index]
        ready = progress.ready.dup
        ready.delete(index)
        @unlocks[index].each { |other| ready << other if @needs[other] & done == @needs[other] }
        Progress.new(done, ready, progress.ahead - @before[@levels[index]], progress.seconds + @seconds[index])
      end

      # @return [Numeric] cost of putting this step next, without the step right before it; costs that no order can spare are left out
      def points(progress, index)
        points = @weight * (misplaced(progress, index) - @in_any_case[index])
        points += WEIGHTS[:late] if late?(progress, index)
        @rather[index].zero? ? points : points + (WEIGHTS[:against] * against(progress, index))
      end

      # @param last [Integer, nil] step just done @return [Array<Integer>] what putting each of the steps right after it costs
      def following(last)
        last ? @following[last] ||= costs_after(last) : @costs_first
      end

      # @param path [Array<Integer>] @return [StepOrder::Cost]
      def cost(path)
        progress, last = @start, nil
        sums = StepOrder::Cost::FIELDS.to_h { |name| [name, 0] }
        path.each do |index|
          sums[@counted] += misplaced(progress, index)
          sums[:late] += 1 if late?(progress, index)
          sums[:changes] += 1 if last && @tools[last] != @tools[index]
          sums[:moved] += 1 if last && @places[last] != @places[index]
          sums[:hurried] += 1 if last && hurried?(last, index)
          sums[:against] += against(progress, index)
          progress, last = after(progress, index), index
        end
        StepOrder::Cost.new(**sums)
      end

      # @param path [Array<Integer>] @return [Array<(Making::StepUse, Making::StepUse)>] the first should come before the second
      def broken(path)
        path.each_with_index.flat_map { |index, place|
          path.drop(place + 1).select { |later|
            @needs[index][later] == 1
          }.map { |later| [@steps[later], @steps[index]] }
        }
      end

      private

      def read_techniques(techniques, minutes)
        @levels = techniques.map(&:level)
        @held = techniques.map { |technique| technique.tools.sort }
        @tools = @held.map { |tools| @held.index(tools) }
        components = @steps.map(&:component)
        @places = components.map { |key| components.index(key) }
        @seconds = @steps.zip(techniques).map do |step, technique|
          minutes ? minutes.call(step) * 60 : (technique.seconds * step.effort * step.repeats).to_f
        end
        @late_from = @seconds.sum * LAST_PART
      end

      def read_needs
        @bits = @steps.each_index.map { |i| 1 << i }
        @at = @steps.each_with_index.to_h { |step, i| [step.key, i] }
        @needs = @steps.map { |step| mask(step.after) }
        @rather = @steps.map { |step| mask(step.rather_after) }
        @unlocks = @steps.map { [] }
        @steps.each_with_index { |step, i| step.after.uniq.each { |key| @unlocks[@at[key]] << i if @at[key] } }
      end

      def mask(keys)
        keys.uniq.sum { |key| @at[key] ? @bits[@at[key]] : 0 }
      end

      def costs_after(last)
        tools, place = @tools[last], @places[last]
        costs = @tools.each_with_index.map { |others, i|
          (others == tools ? 0 : WEIGHTS[:changes]) + (@places[i] == place ? 0 : WEIGHTS[:moved])
        }
        @unlocks[last].each { |index| costs[index] += WEIGHTS[:hurried] if hurried?(last, index) }
        costs
      end

      # What is to do is counted by level in one number, see Progress#ahead.
      def count_levels
        @hardest = [@levels.max.to_i, 2].max
        @level_bits = (@steps.size * @hardest).bit_length
        @level_mask = (1 << @level_bits) - 1
        @shifts = @levels.map { |level| @level_bits * level }
        @before = (0..@hardest).map { |level| before(level) }
        @in_any_case = @steps.each_index.map { |i| misplaced_in_any_case(i) }
      end

      # @return [Integer] what a step of this level, while it is to do, adds to Progress#ahead: how far each level lies above it, or below
      #   it where the hardest should come while all are fresh
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
      def misplaced(progress, index)
        return (progress.ahead >> @shifts[index]) & @level_mask unless @by_ends
        return ends?(index) ? (progress.done & ~@ends).digits(2).sum : 0 if school == :ends_early

        ends?(index) ? 0 : (progress.done & @ends).digits(2).sum
      end

      def late?(progress, index)
        progress.seconds >= @late_from && @levels[index] >= @hardest
      end

      def hurried?(last, index)
        @steps[last].waits.positive? && @needs[index][last] == 1
      end

      def against(progress, index)
        left = @rather[index] & ~progress.done
        left.zero? ? 0 : left.digits(2).sum
      end
    end
  end
end
