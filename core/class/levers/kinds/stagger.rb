# frozen_string_literal: true

module Core
  module Levers
    module Kinds
      # Every second person begins later, so that tools are asked for at different times.
      class Stagger < Levers::Lever
        code :stagger
        MINUTES = [10, 20].freeze
        FEWEST_PEOPLE = 4

        def self.in_room(room)
          room.people.size < FEWEST_PEOPLE ? [] : (MINUTES - [room.session.stagger]).map { |minutes| new(minutes: minutes) }
        end

        def apply(workshop)
          session(workshop, stagger: values[:minutes])
        end
      end
    end
  end
end
