# frozen_string_literal: true

module Core
  module Levers
    module Kinds
      # A smaller class: shown for comparison, since nobody is sent away by a click.
      class Fewer < Levers::Lever
        code :fewer
        COUNT = 2

        def self.in_room(room)
          room.people.size > COUNT + 1 ? [new(count: COUNT, cost: room.seat * COUNT)] : []
        end

        def by_itself?
          false
        end

        def attendees(attendees)
          attendees.first([attendees.size - values[:count], 1].max)
        end
      end
    end
  end
end
