# frozen_string_literal: true

module Web
  module Presenters
    module Sections
      # The tools of the evening, and the room.
      class Tools < Section
        # @return [Array<String>] what helps where some are missing
        def ways(need)
          need.ways(plan.techniques, plan.table).map { |code, values| say("tool_ways.#{code}", **values) }
        end

        # One tool that may stand in, or does. key: for the form · words
        StandIn = Core::Value.define(:key, :words)

        # @return [Array<StandIn>] tools that can be used instead of a missing one
        def stand_ins(need)
          return [] unless need.missing.positive?

          need.standing_in(plan.techniques, plan.table).map { |technique, one| stand_in(technique, one.by) }
        end

        # @return [Array<StandIn>] chosen for this class
        def standing
          plan.workshop.teaching.stand_ins.filter_map do |key|
            worked, tool = key.split('/', 2)
            technique = plan.table.techniques[worked]
            stand_in(technique, tool) if technique && plan.table.tools.key?(tool)
          end
        end

        def sharing(tool)
          return 'one for the class' if tool.people_per_tool.zero?

          tool.people_per_tool == 1 ? 'one for each seat' : "one for #{tool.people_per_tool} people"
        end

        def room
          @room ||= plan.room
        end

        def room_drawing
          Formats::RoomSvg.new(room, title: 'Where everyone sits, and what stands between them').to_s
        end

        def seat_reasons(seat)
          seat.reasons.map { |code| say("seating.#{code}") }.join(', ')
        end

        # @return [Array<Core::Steps::ToolNeed>] blades and needles, counted out and in
        def counted
          plan.tools.select { |need| need.tool.counted }
        end

        # @return [StandIn]
        def stand_in(technique, tool)
          StandIn.new(key: "#{technique.key}/#{tool}", words: "#{plan.table.tool(tool).name.downcase} for this: #{technique.name.downcase}")
        end
        private :stand_in

        # @return [String] what one person holds
        def names(person)
          Formats::Wording.tools(person.tools, plan.table)
        end
      end
    end
  end
end
