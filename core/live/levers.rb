# frozen_string_literal: true

module Core
  module Live
    # What can still be done in a class that runs late.
    module Levers
      # An optional step that is left out. step: Construction::StepUse · people: how many it is still before · minutes: of their work
      LeaveOut = Value.define(:step, :people, :minutes) do
        # @param evening [Evening] @param at [Integer] seconds @return [Event] that does it
        def event(key, at)
          Event.new(key: key, kind: :leave_out, at: at, detail: step.key)
        end
      end

      MOST = 2

      module_function

      # @param evening [Evening] @return [Array<LeaveOut>] what saves most first
      def of(evening)
        ahead = evening.working.flat_map { |person| person.left.drop(1).select { |task| task.step.optional } }
        ahead.group_by { |task| task.step.key }.values
          .map { |same| LeaveOut.new(step: same.first.step, people: same.size, minutes: same.sum { |task| task.minutes.to_f }) }
          .sort_by { |lever| -lever.minutes }.first(MOST)
      end
    end
  end
end
