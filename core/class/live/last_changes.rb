# frozen_string_literal: true

module Core
  module Live
    # What can still be done in a class that runs late.
    module LastChanges
      # An optional step that is left out.
      #
      # @param step Making::StepUse
      # @param people how many it is still before
      # @param minutes of their work
      LeaveOut = Value.define(:step, :people, :minutes) do
        def kind
          :leave_out
        end

        def detail
          step.key
        end
      end

      # A demonstration that begins now, for those who wait for it.
      #
      # @param technique Catalogue::Technique
      # @param people how many wait
      # @param minutes that they have waited
      ShowNow = Value.define(:technique, :people, :minutes) do
        def kind
          :show
        end

        def detail
          technique.key
        end
      end

      MOST_LEFT_OUT = 2
      MOST = MOST_LEFT_OUT + 1

      module_function

      # @param evening [LiveState] @param now [Numeric] seconds @return [Array<LeaveOut, ShowNow>] of each kind, what saves most first
      def of(evening, now)
        left_out(evening) + shown_now(evening, now)
      end

      # @param lever [LeaveOut, ShowNow] @param at [Integer] seconds @return [Event] that does it
      def event(lever, key, at)
        Event.new(key: key, kind: lever.kind, at: at, detail: lever.detail)
      end

      def left_out(evening)
        ahead = evening.working.flat_map { |person| person.left.drop(1).select { |task| task.step.optional } }
        ahead.group_by { |task| task.step.key }.values
          .map { |same| LeaveOut.new(step: same.first.step, people: same.size, minutes: same.sum { |task| task.minutes.to_f }) }
          .sort_by { |lever| -lever.minutes }.first(MOST_LEFT_OUT)
      end

      # Not what someone has gone past: that was shown.
      def shown_now(evening, now)
        return [] if evening.showing

        done = evening.people.values.flat_map { |person| person.tasks.first(person.place) }
        seen = done.map { |task| task.technique.key } | evening.shown
        waiting = evening.working.select do |person|
          person.task.demonstration_minutes.positive? && !seen.include?(person.task.technique.key)
        end
        groups = waiting.group_by { |person| person.task.technique }.select { |technique, same| others_to_come?(evening, technique, same) }
        levers = groups.map do |technique, same|
          ShowNow.new(technique: technique, people: same.size, minutes: same.sum { |person| person.minutes(now) })
        end
        levers.max_by(1, &:minutes)
      end

      # Where all are there, it begins by itself.
      def others_to_come?(evening, technique, there)
        (evening.working - there).any? { |person| person.left.any? { |task| task.technique == technique } }
      end
      private_class_method :left_out, :shown_now, :others_to_come?
    end
  end
end
