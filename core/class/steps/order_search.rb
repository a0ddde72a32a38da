# frozen_string_literal: true

require 'tsort'

module Core
  module Steps
    # Finds the order: what must come first does, and then what costs least by the OrderRules.
    #
    # Dynamic programming over the sets of steps done (Held and Karp, Journal of SIAM 10, 1962), which is exact; where there
    # are too many sets it keeps the best of each size, a beam search (Lowerre, The Harpy Speech Recognition System, 1976).
    class OrderSearch
      # What a point counts. Of equal orders, the one that keeps to how the work was declared: each place that a step lies off counts one.
      POINT = 1000
      MOST_WAYS = 300
      # Ways of one size that are followed, and to how many they are cut, once it is not exact.
      MOST_FOLLOWED = 60
      BEAM = 24
      # Of two ways to have done the same steps, one that costs this much more can never become the better one.
      BEYOND_HOPE = (OrderRules::WEIGHTS.values_at(:changes, :moved, :hurried).sum + 1) * POINT

      # The cheapest way to have done a set of steps, one of them last. from: OrderRules::Progress before the last one
      # last: its index · before: the way up to there
      Way = Struct.new(:from, :last, :cost, :before) do
        # @return [Array<Integer>] indexes in order
        def path
          way = self
          indexes = []
          while way.last
            indexes.unshift(way.last)
            way = way.before
          end
          indexes
        end
      end

      # @param rules [OrderRules]
      def initialize(rules)
        @rules = rules
        @steps = rules.steps
      end

      # @return [StepOrder]
      def best
        reached = [[@rules.start, [Way.new(nil, nil, 0, nil)]]]
        exact = true
        @steps.size.times do |placed|
          found = ways_on(reached, placed)
          raise StepOrder::Cycle.new(stuck(reached.first.first)) if found.empty?

          if found.size > (exact ? MOST_WAYS : MOST_FOLLOWED)
            exact = false
            found = found.min_by(BEAM, &:cost)
          end
          reached = arrive(found)
        end
        told(reached.flat_map(&:last).min_by(&:cost).path, exact)
      end

      # @param keys [Array<String>] those it does not know are left out, those it lacks come where their needs first allow
      # @return [StepOrder] as wanted, with what it breaks
      def by_hand(keys)
        path = keys.filter_map { |key| @rules.at(key) }.uniq
        found = best
        (found.steps.map { |step| @rules.at(step.key) } - path).each { |i| path.insert(first_place(path, i), i) }
        told(path, false, found: found.cost)
      end

      private

      def first_place(path, index)
        path.rindex { |other| @rules.needs[index][other] == 1 }.then { |at| at ? at + 1 : 0 }
      end

      # @param reached [Array<(OrderRules::Progress, Array<Way>)>] what may be done by now, and the ways to have done it
      # @param placed [Integer] steps done @return [Array<Way>] with one more
      def ways_on(reached, placed)
        found, least = [], {}
        reached.each do |progress, ways|
          progress.ready.each do |i|
            before = ways.size == 1 ? ways.first : cheapest(ways, i)
            cost = before.cost + ((@rules.following(before.last)[i] + @rules.points(progress, i)) * POINT) + (placed - i).abs
            known = least[done = progress.done | @rules.bits[i]]
            next if known && cost > known + BEYOND_HOPE

            least[done] = cost if known.nil? || cost < known
            found << Way.new(progress, i, cost, before)
          end
        end
        found
      end

      # @return [Way] the one after which this step costs least
      def cheapest(ways, index)
        least = found = nil
        i = -1
        while (way = ways[i += 1])
          cost = way.cost + (@rules.following(way.last)[index] * POINT)
          least, found = cost, way if found.nil? || cost < least
        end
        found
      end

      # @param ways [Array<Way>] @return [Array<(OrderRules::Progress, Array<Way>)>] where they lead
      def arrive(ways)
        ways.group_by { |way| way.from.done | @rules.bits[way.last] }.each_value.map do |same|
          [@rules.after(same.first.from, same.first.last), same]
        end
      end

      # Only those that wait for each other, not those that merely wait for them.
      # @return [Array<String>] keys
      def stuck(progress)
        waiting = @steps.each_index.reject { |i| progress.done[i] == 1 }
        each_child = ->(i, &block) { waiting.select { |other| @rules.needs[i][other] == 1 }.each(&block) }
        TSort.strongly_connected_components(->(&block) { waiting.each(&block) }, each_child).max_by(&:size).sort.map { |i| @steps[i].key }
      end

      # @param found [StepOrder::Cost, nil] of the best order, for one made by hand
      def told(path, exact, found: nil)
        StepOrder.new(steps: path.map { |i| @steps[i] }, exact: exact, found: found, cost: @rules.cost(path),
          broken: found ? @rules.broken(path) : [],
          reasons: found ? path.map { StepOrder::Reason.new(code: :by_hand) } : OrderReasons.new(@rules, path).all)
      end
    end
  end
end
