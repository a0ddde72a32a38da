# frozen_string_literal: true

module Core
  module Levers
    module Kinds
      # Nothing extra for early finishers.
      class DropExtra < Lever
        key :drop_extra
        rank 90

        def self.in_room(opportunity)
          some = opportunity.people.select { |person| person.tasks.any? { |task| task.kind == :extra } }
          some.empty? ? [] : [new(people: some.size, missed: opportunity.minutes_of(some) { |task| task.kind == :extra })]
        end

        def apply(workshop)
          teaching(workshop, extra: Setup::TeachingSettings.field(:extra).within.end)
        end
      end
    end
  end
end
