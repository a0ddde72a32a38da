# frozen_string_literal: true

module Core
  module Session
    # A change that could improve a session. code, values: what it is · cost: minor units · preparation: minutes of the instructor before class
    # missed: minutes of work that people then do not do, added up
    # by_itself: whether it can be made by a click; fewer people cannot
    Lever = Value.define(:code, values: {}.freeze, cost: 0, preparation: 0.0, missed: 0.0, by_itself: true) do
      # @param workshop [Workshop] @return [Workshop]
      def apply(workshop)
        session = workshop.session
        teaching = workshop.teaching
        case code
        when :more_tool then workshop.with(session: session.with(more_tools: session.more_tools.merge(values[:tool] => session.more_tools.fetch(values[:tool], 0) + values[:count])))
        when :assistant then workshop.with(session: session.with(assistants: session.assistants + 1))
        when :stagger then workshop.with(session: session.with(stagger: values[:minutes]))
        when :demonstrations then workshop.with(session: session.with(demonstrations: values[:mode]))
        when :prepare then workshop.with(teaching: teaching.with(prepared: teaching.prepared.merge(values[:step] => values[:level])))
        when :easier then workshop.with(teaching: teaching.with(easier: teaching.easier.merge(values[:technique] => values[:level])))
        when :shorter then workshop.with(teaching: teaching.with(shorter: values[:level]))
        when :drop_extra then workshop.with(teaching: teaching.with(extra: 6))
        when :longer then workshop.with(minutes: [workshop.minutes + values[:minutes], Workshop::MINUTES.end].min)
        else workshop
        end
      end

      # @param attendees [Array<People::Attendee>] @return [Array<People::Attendee>]
      def people(attendees)
        code == :fewer ? attendees.first([attendees.size - values[:count], 1].max) : attendees
      end

      # What no two levers of a combination may both change.
      def changes
        [code, values[:tool], values[:step], values[:technique]]
      end

      # @return [String] which finds it again
      def key
        [code, *values.values_at(:tool, :step, :technique, :mode, :level, :minutes, :count).compact].join('-')
      end
    end
  end
end
