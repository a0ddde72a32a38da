# frozen_string_literal: true

module Core
  module Levers
    module Kinds
      # Nothing extra for early finishers.
      class DropExtra < Levers::Lever
        code :drop_extra

        def self.in_room(room)
          some = room.people.select { |person| person.tasks.any? { |task| task.kind == :extra } }
          some.empty? ? [] : [new(people: some.size, missed: room.minutes_of(some) { |task| task.kind == :extra })]
        end

        def apply(workshop)
          teaching(workshop, extra: Setup::Teaching::EXTRA.end)
        end
      end
    end
  end
end
