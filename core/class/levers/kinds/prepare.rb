# frozen_string_literal: true

module Core
  module Levers
    module Kinds
      # A step done before class with all that comes before it, for everyone up to a level.
      class Prepare < Lever
        key :prepare
        rank 40

        def self.in_room(opportunity)
          opportunity.prepared.outermost.flat_map do |step|
            opportunity.levels.reject { |level| level <= opportunity.prepared.level(step) }.filter_map do |level|
              number = opportunity.up_to(level).size
              new(step: step.key, level: level, work: step, people: number,
                preparation: opportunity.preparing(step, level) * number) if number.positive?
            end
          end
        end

        def apply(workshop)
          teaching(workshop, prepared: workshop.teaching.prepared.merge(values[:step] => values[:level]))
        end
      end
    end
  end
end
