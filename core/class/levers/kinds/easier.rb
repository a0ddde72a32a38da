# frozen_string_literal: true

module Core
  module Levers
    module Kinds
      # An easier technique in the place of one, for everybody up to a level.
      class Easier < Levers::Lever
        code :easier

        def self.in_room(room)
          room.skills.select { |skill| skill.easier && room.plan.table.techniques.key?(skill.easier) }.flat_map do |skill|
            room.levels.reject { |level| level <= room.teaching.easier.fetch(skill.key, 0) }.map do |level|
              new(technique: skill.key, name: skill.name, to: room.plan.table.technique(skill.easier).name, level: level,
                people: room.up_to(level).size)
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
