# frozen_string_literal: true

module Core
  module Levers
    module Kinds
      # Steps that a piece can do without are left out, by everyone up to a level.
      class Shorter < Lever
        key :shorter
        rank 60

        def self.in_room(opportunity)
          optional = opportunity.plan.order.steps.select(&:optional)
          return [] if optional.empty?

          opportunity.levels.reject { |level| level <= opportunity.teaching.shorter }.map do |level|
            some = opportunity.up_to(level)
            new(level: level, works: optional, people: some.size, missed: opportunity.minutes_of(some) { |task| task.step.optional })
          end
        end

        def apply(workshop)
          teaching(workshop, shorter: values[:level])
        end
      end
    end
  end
end
