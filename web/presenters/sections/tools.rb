# frozen_string_literal: true

module Web
  module Presenters
    module Sections
      # The tools of the evening, and the room.
      class Tools < Section
        # @return [Array<String>] what helps where some are missing
        def ways(need)
          skills = plan.order.steps.map { |step| plan.technique_of(step) }.uniq
          need.ways(skills, plan.table).map { |code, values| say("tool_ways.#{code}", **values) }
        end

        def sharing(tool)
          return 'one for the class' if tool.people_per_tool.zero?

          tool.people_per_tool == 1 ? 'one for each seat' : "one for #{tool.people_per_tool} people"
        end

        def room
          @room ||= plan.room
        end

        def room_drawing
          Formats::RoomSvg.new(room, title: 'Where everybody sits, and what stands between them').to_s
        end

        def seat_reasons(seat)
          seat.reasons.map { |code| say("seating.#{code}") }.join(', ')
        end

        # @return [Array<Core::Technique::ToolNeed>] blades and needles, counted out and in
        def counted
          plan.tools.select { |need| need.tool.counted }
        end

        # @return [String] what one person holds
        def names(person)
          Formats::Wording.tools(person.tools, plan.table)
        end
      end
    end
  end
end
