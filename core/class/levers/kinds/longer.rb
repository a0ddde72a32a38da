# frozen_string_literal: true

module Core
  module Levers
    module Kinds
      # A longer class, where the room can be had for longer.
      class Longer < Levers::Lever
        code :longer
        MINUTES = [15, 30].freeze

        def self.in_room(room)
          return [] if room.session.fixed_end

          MINUTES.select { |minutes| room.workshop.minutes + minutes <= Setup::Workshop::MINUTES.end }
            .map { |minutes| new(minutes: minutes, cost: Rational(room.workshop.supply.hour * minutes, 60).ceil) }
        end

        def apply(workshop)
          workshop.with(minutes: [workshop.minutes + values[:minutes], Setup::Workshop::MINUTES.end].min)
        end
      end
    end
  end
end
