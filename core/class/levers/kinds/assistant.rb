# frozen_string_literal: true

module Core
  module Levers
    module Kinds
      # One more assistant beside the instructor, paid by the hour.
      class Assistant < Levers::Lever
        code :assistant

        def self.in_room(room)
          return [] if room.session.assistants >= Setup::Running::ASSISTANTS.end

          [new(number: room.session.assistants + 1, cost: Rational(room.session.assistant_hour * room.workshop.minutes, 60).ceil)]
        end

        def apply(workshop)
          session(workshop, assistants: workshop.session.assistants + 1)
        end
      end
    end
  end
end
