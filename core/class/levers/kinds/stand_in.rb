# frozen_string_literal: true

module Core
  module Levers
    module Kinds
      # Another tool in the place of one that people wait for or lack, for one technique.
      class StandIn < Lever
        key :stand_in
        rank 20

        def self.in_room(opportunity)
          scarce(opportunity).flat_map do |need|
            need.standing_in(opportunity.techniques, opportunity.plan.table).map do |technique, one|
              new(technique: technique.key, tool: one.by, name: opportunity.plan.table.tool(one.by).name, from: need.tool.name,
                worked: technique.name)
            end
          end
        end

        # Fewer than would be held if nobody waited.
        def self.scarce(opportunity)
          opportunity.plan.tools.select do |need|
            need.on_hand + need.brought < opportunity.people.sum { |person| person.tools.fetch(need.tool.key, 0) }
          end
        end
        private_class_method :scarce

        def apply(workshop)
          teaching(workshop, stand_ins: workshop.teaching.stand_ins | ["#{values[:technique]}/#{values[:tool]}"])
        end
      end
    end
  end
end
