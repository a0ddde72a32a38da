# frozen_string_literal: true

module Core
  module Levers
    module Kinds
      # Every second person begins later, so that tools are asked for at different times.
      class Stagger < Lever
        key :stagger
        rank 80
        MINUTES = [10, 20].freeze
        FEWEST_PEOPLE = 4

        def self.in_room(opportunity)
          opportunity.people.size < FEWEST_PEOPLE ? [] : (MINUTES - [opportunity.session.stagger]).map { |minutes| new(minutes: minutes) }
        end

        def apply(workshop)
          session(workshop, stagger: values[:minutes])
        end
      end
    end
  end
end
