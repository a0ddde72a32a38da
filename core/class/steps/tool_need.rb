# frozen_string_literal: true

module Core
  module Steps
    # A class's need of one tool.
    #
    # @param users people whose steps use it
    # @param each how many one user holds at once
    # @param needed at the usual sharing
    # @param brought by attendees
    # @param on_hand in the class's sets
    # @param missing still to find
    # @param at_once the most in use at one moment, if nobody waits for one
    ToolNeed = Value.define(:tool, :users, :each, :needed, :brought, :on_hand, at_once: 0) do
      def missing
        [needed - brought - on_hand, 0].max
      end

      def shared?
        tool.people_per_tool != 1
      end

      # @param techniques [Array<Technique>] of the class's steps @param table [Catalogue::Table]
      # @return [Array<(Technique, StandIn)>] other tools that can be used instead
      def standing_in(techniques, table)
        techniques.flat_map do |technique|
          technique.substitutes.select { |one| one.tool == tool.key && table.tools.key?(one.by) }.map { |one| [technique, one] }
        end
      end

      # What helps where some are missing, beside a tool that stands in.
      # @param techniques [Array<Technique>] of the class's steps @param table [Catalogue::Table]
      # @return [Array<(Symbol, Hash)>] wording codes with their values
      def ways(techniques, table)
        return [] unless missing.positive?

        easier = techniques.select { |technique|
          technique.tools.include?(tool.key) && technique.easier &&
            !(table.techniques[technique.easier]&.tools || [tool.key]).include?(tool.key)
        }
        [[:borrow, { count: missing }],
         ([:stagger, { count: on_hand + brought }] if (on_hand + brought).positive? && at_once > on_hand + brought),
         *easier.map { |technique|
           [:change_school, { from: technique.name, to: table.technique(technique.easier).name }]
         },
         ([:nothing_else, {}] unless tool.substitutable)].compact
      end
    end

    class ToolNeed
      # @param table [Catalogue::Table]
      # @param used [Hash{People::Attendee=>Hash{String=>Integer}}] tool keys with how many each attendee holds at once
      # @param sets [Integer] sets of tools: what one seat uses alone, and shared tools in proportion
      # @param more [Hash{String=>Integer}] of each, borrowed beside the sets @param at_once [Hash{String=>Integer}] the most of each in
      #   use at one moment
      # @return [Array<ToolNeed>] missing first, then by name
      def self.for_class(used, table, sets, more: {}, at_once: {})
        used.values.flat_map(&:keys).uniq.map do |key|
          tool = table.tool(key)
          users = used.select { |_, tools| tools.key?(key) }
          each = users.values.map { |tools| tools[key] }.max
          new(tool: tool, users: users.size, each: each, needed: tool.needed_for(users.size) * each,
            brought: users.keys.count { |attendee|
              attendee.brings.include?(key)
            } * each, on_hand: (tool.needed_for(sets) * each) + more.fetch(key, 0), at_once: at_once.fetch(key, 0))
        end.sort_by { |need| [-need.missing, need.tool.name] }
      end
    end
  end
end
