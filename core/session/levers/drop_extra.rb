# frozen_string_literal: true

module Core
  module Session
    module Levers
      # Nothing extra for early finishers.
      class DropExtra < Lever
        code :drop_extra

        def self.in_room(room)
          some = room.people.select { |person| person.tasks.any? { |task| task.kind == :extra } }
          some.empty? ? [] : [new(people: some.size, missed: room.minutes_of(some) { |task| task.kind == :extra })]
        end

        def apply(workshop)
          teaching(workshop, extra: Technique::Teaching::EXTRA.end)
        end
      end
    end
  end
end
