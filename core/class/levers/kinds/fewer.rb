# frozen_string_literal: true

module Core
  module Levers
    module Kinds
      # A smaller class: shown for comparison, since nobody is sent away by a click.
      class Fewer < Lever
        key :fewer
        rank 110
        COUNT = 2

        def self.in_room(opportunity)
          opportunity.people.size > COUNT + 1 ? [new(count: COUNT, cost: opportunity.seat * COUNT)] : []
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
