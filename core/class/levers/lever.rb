# frozen_string_literal: true

module Core
  module Levers
    # A change that could improve a session. Each kind is a class of its own in core/class/levers/kinds: what it changes, and where a plan
    # leaves room for it.
    #
    # values: what it is · cost: minor units · preparation: minutes of the instructor before class
    # missed: minutes of work that people then do not do, added up · people: how many they are
    class Lever
      attr_reader :values, :cost, :preparation, :missed, :people

      extend ClassAttribute

      declares :key
      declares :rank

      class << self
        # @param opportunity [Opportunity] what the plan leaves room for @return [Array<Lever>]
        def in_room(opportunity)
          raise ArgumentError, "#{self} does not say where there is room for #{opportunity}"
        end
      end

      def initialize(cost: 0, preparation: 0.0, missed: 0.0, people: 0, **values)
        @cost = cost
        @preparation = preparation
        @missed = missed
        @people = people
        @values = values.freeze
        freeze
      end

      def code
        self.class.key
      end

      # @return [Boolean] whether it can be made by a click
      def by_itself?
        true
      end

      # @param workshop [Workshop] @return [Workshop]
      def apply(workshop)
        workshop
      end

      # @param attendees [Array<People::Attendee>] @return [Array<People::Attendee>]
      def attendees(attendees)
        attendees
      end

      # What no two levers of a combination may both change.
      def changes
        [code, *values.values_at(:tool, :step, :technique)]
      end

      # @return [String] which finds it again
      def key
        [code, *values.values_at(:tool, :step, :technique, :mode, :level, :minutes, :count).compact].join('-')
      end

      private

      def session(workshop, **changed)
        workshop.with(session: workshop.session.with(**changed))
      end

      def teaching(workshop, **changed)
        workshop.with(teaching: workshop.teaching.with(**changed))
      end
    end
  end
end
