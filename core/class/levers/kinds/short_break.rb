# frozen_string_literal: true

module Core
  module Levers
    module Kinds
      # A shorter break, where there is one that is longer.
      class ShortBreak < Lever
        key :short_break
        rank 75

        # Minutes for a cup of water (common practice, no source).
        MINUTES = 5

        def self.in_room(opportunity)
          session = opportunity.session
          return [] if session.break_at.zero? || session.break_minutes <= MINUTES

          [new(minutes: MINUTES)]
        end

        def apply(workshop)
          session(workshop, break_minutes: values[:minutes])
        end
      end
    end
  end
end
