# frozen_string_literal: true

module Core
  module Levers
    module Kinds
      # One more assistant beside the instructor, paid by the hour.
      class Assistant < Lever
        key :assistant
        rank 30

        def self.in_room(opportunity)
          return [] if opportunity.session.assistants >= Setup::SessionSettings.field(:assistants).within.end

          [new(number: opportunity.session.assistants + 1,
            cost: Rational(opportunity.session.assistant_hour * opportunity.workshop.minutes, 60).ceil)]
        end

        def apply(workshop)
          session(workshop, assistants: workshop.session.assistants + 1)
        end
      end
    end
  end
end
