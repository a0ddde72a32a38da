# frozen_string_literal: true

module Core
  module Levers
    module Kinds
      # A step done before class, for everyone up to a level.
      class Prepare < Lever
        key :prepare
        rank 40

        def self.in_room(opportunity)
          opportunity.plan.order.steps.select(&:preparable).flat_map do |step|
            opportunity.levels.reject { |level| level <= opportunity.teaching.prepared.fetch(step.key, 0) }.filter_map do |level|
              number = opportunity.up_to(level).size
              new(step: step.key, level: level, work: step, people: number,
                preparation: opportunity.preparing(step) * number) if number.positive?
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
