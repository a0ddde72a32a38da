# frozen_string_literal: true

module Core
  module Levers
    module Kinds
      # A longer class, where the room can be had for longer.
      class Longer < Lever
        key :longer
        rank 100
        MINUTES = [15, 30].freeze

        def self.in_room(opportunity)
          return [] if opportunity.session.fixed_end

          MINUTES.select { |minutes| opportunity.workshop.minutes + minutes <= Setup::Workshop.field(:minutes).within.end }
            .map { |minutes| new(minutes: minutes, cost: Rational(opportunity.workshop.supply.hour * minutes, 60).ceil) }
        end

        def apply(workshop)
          workshop.with(minutes: [workshop.minutes + values[:minutes], Setup::Workshop.field(:minutes).within.end].min)
        end
      end
    end
  end
end
