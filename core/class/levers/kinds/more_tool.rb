# frozen_string_literal: true

module Core
  module Levers
    module Kinds
      # More of one tool, borrowed for the evening.
      class MoreTool < Lever
        key :more_tool
        rank 10

        def self.in_room(opportunity)
          opportunity.plan.tools.flat_map do |need|
            have = need.on_hand + need.brought
            next [] if have >= opportunity.people.sum { |person| person.tools.fetch(need.tool.key, 0) }

            [need.each, need.needed - have, need.at_once - have].select(&:positive?).uniq
              .map { |count| new(tool: need.tool.key, name: need.tool.name, count: count, cost: count * opportunity.session.tool_hire) }
          end
        end

        def apply(workshop)
          borrowed = workshop.session.more_tools
          session(workshop, more_tools: borrowed.merge(values[:tool] => borrowed.fetch(values[:tool], 0) + values[:count]))
        end
      end
    end
  end
end
