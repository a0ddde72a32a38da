# frozen_string_literal: true

module Core
  module Live
    # How quick someone turns out to be, against what was planned for them: the minutes of the work they have done by those it was planned
    # to take. The longer the work, the more it says: normal with known spreads, the plan as prior (A. Gelman and others, Bayesian Data
    # Analysis, 2.5), on a logarithmic scale.
    class Pace
      # Someone seen this far from the plan waited for something that no tap tells.
      MOST = 2.0

      # @param model [Session::Model] @param starts [WorkStarts]
      def initialize(model, starts)
        @model = model
        @starts = starts
        @done = {}
      end

      # @return [Float] multiple of the planned times, about 1
      def of(person)
        planned, took, = done(person)
        return 1.0 unless planned.positive? && took.positive?

        (took / planned).clamp(1 / MOST, MOST)**weight(person)
      end

      # @param people [Array<Session::Model::Person>] @return [Float] how much they still differ from what was learnt of them
      def spread(people)
        people.empty? ? @model.between : @model.between * Math.sqrt(people.sum { |person| 1 - weight(person) } / people.size)
      end

      private

      # What was seen, as a share of all that is known.
      def weight(person)
        planned, _, variance = done(person)
        return 0.0 unless planned.positive? && @model.between.positive?

        prior = @model.between**2
        prior / (prior + (variance / (planned**2)))
      end

      # @return [Array(Float, Float, Float)] minutes planned, minutes taken, and the variance of the minutes taken at a usual pace
      def done(person)
        @done[person.key] ||= begin
          steps = @starts.of(person.key).select { |step| step.left && step.began }
          [steps.sum(0.0) { |step| planned(step.task) }, steps.sum(0.0) { |step| (step.left - step.began) / 60.0 },
           steps.sum(0.0) { |step| variance(step.task) }]
        end
      end

      def planned(task)
        task.minutes + (task.help * @model.help_minutes) + (task.check ? @model.check_minutes : 0.0)
      end

      # Of the work itself (lognormal), and of a visit that comes or does not.
      def variance(task)
        ((task.minutes**2) * (Math.exp(@model.sigmas[task.sigma]**2) - 1)) +
          (task.help * (@model.help_minutes**2) * Math.exp(Session::Engine::HELP_SIGMA**2))
      end
    end
  end
end
