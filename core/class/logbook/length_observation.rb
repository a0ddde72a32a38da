# frozen_string_literal: true

module Core
  module Logbook
    # How long one piece came out at its checkpoint.
    #
    # @param project key of the design
    # @param by millimetres longer inside than planned
    # @param session names the class
    # @param weight how much it counts
    LengthObservation = Value.define(:project, :by, :session, weight: 1.0)

    class LengthObservation
      # @param plan [Plan] @param evening [Live::LiveState] @return [Array<LengthObservation>]
      def self.of(plan, evening, session)
        evening.people.values.filter_map do |person|
          next unless person.here && person.measured

          by = person.measured - plan.person(person.key).piece.inside
          new(project: plan.design.key, by: by.to_mm, session: session)
        end
      end
    end
  end
end
