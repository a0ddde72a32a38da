# frozen_string_literal: true

module Core
  module Levers
    module Kinds
      # An easier technique in the place of one, for everyone up to a level.
      class Easier < Lever
        key :easier
        rank 50

        def self.in_room(opportunity)
          known = opportunity.plan.table.techniques
          opportunity.techniques.select { |technique| technique.easier && known.key?(technique.easier) }.flat_map do |technique|
            opportunity.levels.reject { |level| level <= opportunity.teaching.easier.fetch(technique.key, 0) }.map do |level|
              new(technique: technique.key, name: technique.name, to: opportunity.plan.table.technique(technique.easier).name, level: level,
                people: opportunity.up_to(level).size)
            end
          end
        end

        def apply(workshop)
          teaching(workshop, easier: workshop.teaching.easier.merge(values[:technique] => values[:level]))
        end
      end
    end
  end
end
