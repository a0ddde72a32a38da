# frozen_string_literal: true

module Core
  module Live
    # Where people stand who may have forgotten to tap: someone who has long been at a step has either not done it yet, or has gone on
    # without a tap. By Bayes' rule, from how likely each is still at it and from how many taps of this evening came too late.
    class Presumed
      # As if so many taps had been forgotten of so many before (from memory).
      FORGOTTEN = 0.5
      OF = 30.0

      # @param model [Session::Model] @param starts [WorkStarts] @param work [TappedWork] @param now [Numeric] seconds
      def initialize(model, starts, work, now)
        @model = model
        @starts = starts
        @work = work
        @now = now
      end

      # @param person [Session::Model::Person]
      # @return [WorkStarts::Step, nil] what they are at, as far as can be told; nil when they have done
      def current(person)
        at = @starts.current(person.key)
        at = next_of(at) while at && gone_on?(at)
        at
      end

      # @return [Boolean] whether someone more likely has gone on from where the taps say they are
      def gone_on?(step)
        return false unless step.began && step.began < @now && step.task.minutes.positive? && step.person.tasks[step.place + 1]

        still = beyond((@now - step.began) / 60.0, step.task)
        forgotten = share * (1 - still)
        forgotten > still
      end

      private

      # @return [Float] share of the taps that are forgotten
      def share
        @share ||= (FORGOTTEN + @work.forgotten) / (OF + @work.taps)
      end

      # @return [Float] how likely one takes longer than so many minutes
      def beyond(minutes, task)
        spread = Math.sqrt(Math.log(1 + (@work.variance(task) / (task.minutes**2))) + (@model.between**2))
        0.5 * Math.erfc(((Math.log(minutes / task.minutes) / spread) + (spread / 2)) / Math.sqrt(2))
      end

      # The next step, since when this one is usually done. What is shown before it, and tools that others may hold, are still waited for.
      def next_of(step)
        left = [step.began + (step.task.minutes * 60), @now].min
        place = step.place + 1
        task = step.person.tasks[place]
        ready = left if task.demonstration.nil?
        began = ready unless @starts.waits?(task)
        WorkStarts::Step.new(step.person, place, task, left, nil, ready, began)
      end
    end
  end
end
