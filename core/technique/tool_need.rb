# frozen_string_literal: true

module Core
  module Technique
    # A class's need of one tool. users: people whose steps use it · each: how many one user holds at once
    # needed: at the usual sharing · brought: by attendees · on_hand: in the class's sets · missing: still to find
    ToolNeed = Value.define(:tool, :users, :each, :needed, :brought, :on_hand) do
      def missing
        [needed - brought - on_hand, 0].max
      end

      def shared?
        tool.people_per_tool != 1
      end
    end

    class ToolNeed
      # @param table [Catalogue::Table]
      # @param used [Hash{People::Attendee=>Hash{String=>Integer}}] tool keys with how many each attendee holds at once
      # @param sets [Integer] sets of tools: what one seat uses alone, and shared tools in proportion
      # @return [Array<ToolNeed>] missing first, then by name
      def self.for_class(used, table, sets)
        used.values.flat_map(&:keys).uniq.map do |key|
          tool = table.tool(key)
          users = used.select { |_, tools| tools.key?(key) }
          each = users.values.map { |tools| tools[key] }.max
          new(tool: tool, users: users.size, each: each, needed: tool.needed_for(users.size) * each,
              brought: users.keys.count { |attendee| attendee.brings.include?(key) } * each, on_hand: tool.needed_for(sets) * each)
        end.sort_by { |need| [-need.missing, need.tool.name] }
      end
    end
  end
end
