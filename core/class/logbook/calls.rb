# frozen_string_literal: true

module Core
  module Logbook
    # Calls for help in a class.
    #
    # @param expected so many, by the chances it was planned with, at the steps that were finished
    # @param called at so many of them someone called
    # @param session names the class
    # @param weight how much it counts
    Calls = Value.define(:expected, :called, :session, weight: 1.0)

    class Calls
      # @param model [Session::Model] @param evening [Live::LiveState]
      # @return [Calls, nil] nil where no call was tapped, since then nobody may have tapped any
      def self.of(model, evening, session)
        counted = model.people.flat_map { |person| steps(person, evening) }
        called = counted.count(&:last)
        new(expected: counted.sum { |work, _| model.calls(work) }, called: called, session: session) if called.positive?
      end

      # At a checkpoint everyone calls: that is no call for help.
      # @return [Array<(Session::Model::Work, Boolean)>] what someone finished, and whether they called at it
      def self.steps(person, evening)
        there = evening.people.fetch(person.key)
        there.times.keys.filter_map do |place|
          work = person.tasks[place]
          [work, there.helped.key?(place)] if work && !work.check
        end
      end
      private_class_method :steps
    end
  end
end
