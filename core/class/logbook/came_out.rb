# frozen_string_literal: true

module Core
  module Logbook
    # How long one piece came out at its checkpoint. project: key of the design · by: millimetres longer inside than planned
    # session: names the class · weight: how much it counts
    CameOut = Value.define(:project, :by, :session, weight: 1.0)

    class CameOut
      # @param plan [Plan] @param evening [Live::Evening] @return [Array<CameOut>]
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
