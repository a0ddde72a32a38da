# frozen_string_literal: true

module Core
  module Levers
    module Kinds
      # Steps that a piece can do without are left out, by everybody up to a level.
      class Shorter < Levers::Lever
        code :shorter

        def self.in_room(room)
          optional = room.plan.order.steps.select(&:optional)
          return [] if optional.empty?

          room.levels.reject { |level| level <= room.teaching.shorter }.map do |level|
            some = room.up_to(level)
            new(level: level, works: optional, people: some.size, missed: room.minutes_of(some) { |task| task.step.optional })
          end
        end

        def apply(workshop)
          teaching(workshop, shorter: values[:level])
        end
      end
    end
  end
end
