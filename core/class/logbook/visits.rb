# frozen_string_literal: true

module Core
  module Logbook
    # The visits in a class to people who had called, by what was tapped.
    #
    # @param number of visits
    # @param minutes of them all: from call to end, by the share of that which is a visit in the simulated class
    # @param session names the class
    # @param weight how much it counts
    Visits = Value.define(:number, :minutes, :session, weight: 1.0)

    class Visits
      # @param model [Session::Model] @param evening [Live::LiveState] @param beside [Session::BesideWork] of the class
      # @return [Visits, nil] nil where no call was tapped
      def self.of(model, evening, beside, session)
        seconds = model.people.flat_map { |person|
          evening.people.fetch(person.key).helped.reject { |place, _| person.tasks[place].nil? || person.tasks[place].check }.values
        }
        return if seconds.empty?

        new(number: seconds.size, minutes: seconds.sum / 60.0 * beside.visit_share, session: session)
      end
    end
  end
end
