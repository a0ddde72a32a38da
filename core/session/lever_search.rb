# frozen_string_literal: true

module Core
  module Session
    # Tries levers one by one, then looks for the cheapest combination that gives a wished chance: greedily, taking out again what
    # turns out not to be needed. All variants meet the same luck.
    class LeverSearch
      # base: the class as it is · singles: [Tried], most gain first · best: [Lever] or nil when nothing reaches the wish
      # steps: [Tried] on the way to the combination · combination: Tried with more runs, nil when none is needed · tried: how many variants
      Found = Value.define(:base, :singles, :steps, :combination, :reaches, :tried)

      RUNS = 150
      SURE_RUNS = 600
      MOST_LEVERS = 6
      # How many of the most promising are tried on top of what was chosen.
      WIDTH = 7
      # A minute of preparing, and one of work that somebody misses, weigh like so many minor units (from memory).
      MINUTE = 40
      MISSED = 30

      # @param inputs [Inputs] of the class @param wish [Float] chance @param seat [Integer] minor units
      # @param together [#call] maps a list by a block, for instance on two cores
      # @yieldparam share [Float] how far the search is
      def initialize(inputs, wish:, seat: 0, together: ->(list, &block) { list.map(&block) }, &progress)
        @inputs = inputs
        @planner = inputs.planner
        @plan = @planner.plan
        @wish = wish
        @levers = Levers.new(@plan, inputs.calibration, seat: seat).all
        @together = together
        @progress = progress
        @tried = 0
      end

      # @return [Found, Impossible]
      def call
        model = model_of([])
        return model if model.is_a?(Impossible) && @levers.none? { |lever| lever.code == :more_tool }

        @before = met([], RUNS)
        base = tried([], @before, @before)
        singles = try(@levers.map { |lever| [lever] }, 0.0, 0.5).sort_by { |one| -one.gain }
        steps = base.chance >= @wish ? [] : climb(singles)
        settled(base, singles, steps)
      end

      private

      def settled(base, singles, steps)
        chosen = steps.empty? ? nil : pruned(steps.last.levers)
        sure = chosen && confirmed(chosen)
        Found.new(base: base, singles: singles, steps: steps, combination: sure, reaches: base.chance >= @wish || (!sure.nil? && sure.chance >= @wish), tried: @tried)
      end

      # With more runs, since the best of many looks better than it is.
      def confirmed(levers)
        tried(levers, met(levers, SURE_RUNS), met([], SURE_RUNS))
      end

      def climb(singles)
        chosen = []
        steps = []
        useful = singles.select { |one| one.gain.positive? && one.levers.first.by_itself }.map { |one| one.levers.first }
        while chosen.size < MOST_LEVERS
          free = useful.reject { |lever| chosen.any? { |taken| taken.changes == lever.changes } }.first(WIDTH)
          best = try(free.map { |lever| [*chosen, lever] }, 0.5 + (chosen.size * 0.07), 0.07).max_by { |found| worth(found, steps.last) }
          break if best.nil? || best.chance <= (steps.last&.chance || -1)

          steps << best
          chosen = best.levers
          break if best.chance >= @wish
        end
        steps
      end

      # Reaching the wish cheaply goes before gain for what it costs.
      def worth(found, before)
        price = 1 + burden(found)
        return [1, -price] if found.chance >= @wish

        [0, (found.chance - (before&.chance || 0)) / Math.sqrt(price)]
      end

      def burden(lever)
        lever.cost + (lever.preparation * MINUTE) + (lever.missed * MISSED)
      end

      def pruned(levers)
        levers.sort_by { |lever| -burden(lever) }.reduce(levers) do |kept, lever|
          without = kept - [lever]
          next kept if without.empty? || kept.size == 1

          try([without], 0.95, 0.0).first.chance >= @wish ? without : kept
        end
      end

      # @return [Array<Tried>] in the order given
      def try(combinations, from, share)
        done = 0
        outcomes = @together.call(combinations) do |levers|
          @progress&.call([from + (share * done.fdiv([combinations.size, 1].max)), 1.0].min)
          done += 1
          met(levers, RUNS)
        end
        combinations.zip(outcomes).map { |levers, met| tried(levers, met, @before) }
      end

      def tried(levers, met, before)
        @tried += 1
        Tried.of(levers, met, before)
      end

      # @return [Array<Boolean>] for each run, whether all had finished by the end; never, where it cannot be simulated
      def met(levers, runs)
        model = model_of(levers)
        return [false] * runs if model.is_a?(Impossible)

        Simulation.new(model).run(0...runs).ends.map { |minute| minute <= model.minutes }
      end

      def model_of(levers)
        workshop = levers.reduce(@inputs.workshop) { |changed, lever| lever.apply(changed) }
        attendees = levers.reduce(@inputs.attendees) { |left, lever| lever.people(left) }
        Modelling.new(levers.empty? ? @plan : @planner.replan(workshop, attendees), @inputs.calibration).model
      end
    end
  end
end
