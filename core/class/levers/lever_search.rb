# frozen_string_literal: true

module Core
  module Levers
    # Tries levers one by one, then looks for the cheapest combination that reaches a target: greedily, taking out again what turns out
    # not to be needed. All variants are tried on the same random numbers. What is found is confirmed on other ones, since the best of many
    # looks better than it is: on those that the class's own forecast uses, so that its chance is the one the page shows afterwards.
    class LeverSearch
      # @param base the class as it is
      # @param singles [Trial] that help, most gain first
      # @param steps [Trial] on the way to the combination
      # @param combination confirmed Trial, nil when none is needed or none helps
      # @param reaches whether the target is met with it
      # @param trials how many variants
      Found = Value.define(:base, :singles, :steps, :combination, :reaches, :trials)

      # Runs for a first trial, from replications that no forecast uses.
      TRIAL_RUNS = (1_000_000...1_000_150)
      MOST_LEVERS = 6
      # How many of the most promising are tried on top of what was chosen.
      WIDTH = 7
      # A minute of preparing, and one of work that someone misses, weigh like so many minor units (from memory).
      MINUTE = 40
      MISSED = 30
      # Blocks of random numbers that variants share.
      MOST_DRAWN = 5000

      # @param inputs [Inputs] of the class @param target [Float] chance @param seat [Integer] minor units
      # @param confirming [Range<Integer>] replications that confirm
      # @yieldparam share [Float] how far the search is
      def initialize(inputs, target:, seat: 0, confirming: (0...Session::Refinement::STAGES.last), &progress)
        @inputs = inputs
        @planner = inputs.planner
        @plan = @planner.plan
        @target = target
        @levers = Kinds.offers(@plan, inputs.calibration, seat: seat)
        @confirming = confirming
        @progress = progress
        @trials = 0
        @share = 0.0
        @drawn = LruCache.new(MOST_DRAWN)
      end

      # @return [Found, Impossible]
      def call
        model = model_of([])
        return model if model.is_a?(Session::Impossible) && @levers.none?(Kinds::MoreTool)

        @before = { TRIAL_RUNS => met([], TRIAL_RUNS), @confirming => met([], @confirming) }
        base = trial([], @confirming)
        singles = try(@levers.map { |lever| [lever] }, 0.5).select { |one| one.gain.positive? }.sort_by { |one| -one.gain }
        base.chance >= @target ? found(base, singles, [], nil) : climb(base, singles)
      end

      private

      def found(base, singles, steps, combination)
        reaches = base.chance >= @target || (!combination.nil? && combination.chance >= @target)
        Found.new(base: base, singles: singles, steps: steps, combination: combination, reaches: reaches, trials: @trials)
      end

      # Adds lever after lever until the target is reached and confirmed, or nothing helps any more.
      def climb(base, singles)
        useful = singles.map { |one| one.levers.first }.select(&:by_itself?)
        steps = []
        confirmed = nil
        while steps.size < MOST_LEVERS
          best = next_step(useful, steps)
          break if best.nil? || (confirmed.nil? && best.chance <= (steps.last&.chance || -1))

          steps << best
          next if best.chance < @target

          confirmed = pruned(best.levers)
          break if confirmed.chance >= @target
        end
        confirmed = trial(steps.last.levers, @confirming) if steps.any? && confirmed.nil?
        found(base, singles, steps, confirmed&.gain.to_f.positive? ? confirmed : nil)
      end

      def next_step(useful, steps)
        chosen = steps.last&.levers || []
        free = useful.reject { |lever| chosen.any? { |taken| taken.changes == lever.changes } }.first(WIDTH)
        try(free.map { |lever| [*chosen, lever] }, 0.07).max_by { |found| worth(found, steps.last) }
      end

      # Reaching the target cheaply goes before gain for what it costs.
      def worth(found, before)
        price = 1 + burden(found)
        return [1, -price] if found.chance >= @target

        [0, (found.chance - (before&.chance || 0)) / Math.sqrt(price)]
      end

      def burden(lever)
        lever.cost + (lever.preparation * MINUTE) + (lever.missed * MISSED)
      end

      # @return [Trial] confirmed, without what is not needed, the dearest first
      def pruned(levers)
        levers.sort_by { |lever| -burden(lever) }.reduce(trial(levers, @confirming)) do |kept, lever|
          without = kept.levers - [lever]
          next kept if without.empty? || kept.chance < @target

          fewer = trial(without, @confirming)
          fewer.chance >= @target ? fewer : kept
        end
      end

      # @param share [Float] of the search that this is @return [Array<Trial>] in the order given
      def try(combinations, share)
        combinations.map do |levers|
          @share = [@share + (share / combinations.size), 1.0].min
          @progress&.call(@share)
          trial(levers, TRIAL_RUNS)
        end
      end

      def trial(levers, replications)
        @trials += 1
        Trial.of(levers, levers.empty? ? @before.fetch(replications) : met(levers, replications), @before.fetch(replications))
      end

      # @return [Array<Boolean>] for each run, whether all had finished by the end; never, where it cannot be simulated
      def met(levers, replications)
        model = model_of(levers)
        return [false] * replications.size if model.is_a?(Session::Impossible)

        simulation = Session::Simulation.new(model, drawn: @drawn)
        replications.each_slice(Session::Refinement::STRIDE).flat_map do |part|
          @progress&.call(@share)
          simulation.run(part.first..part.last).ends.map { |minute| minute <= model.minutes }
        end
      end

      def model_of(levers)
        workshop = levers.reduce(@inputs.workshop) { |changed, lever| lever.apply(changed) }
        attendees = levers.reduce(@inputs.attendees) { |left, lever| lever.attendees(left) }
        Session::Modelling.new(levers.empty? ? @plan : @planner.replan(workshop, attendees), @inputs.calibration).model
      end
    end
  end
end
