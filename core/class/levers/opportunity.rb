# frozen_string_literal: true

module Core
  module Levers
    # What a plan leaves room for.
    class Opportunity
      # people: [PersonPlan] who are fitted · seat: minor units of a seat's price, 0 when not known
      attr_reader :plan, :workshop, :people, :seat

      def initialize(plan, calibration, seat)
        @plan = plan
        @workshop = plan.workshop
        @people = plan.people.select(&:fitted?)
        @times = Steps::StepTime.new(calibration, on: plan.workshop.date)
        @seat = seat
      end

      def session
        workshop.session
      end

      def teaching
        workshop.teaching
      end

      # @return [Array<Integer>] levels up to which something may be done: the two lowest present, or all
      def levels
        (people.map { |person| person.attendee.level }.uniq.sort - [5]).then { |found| [*found.first(2), 5] }
      end

      # @return [Array<PersonPlan>] of this level or below
      def up_to(level)
        people.select { |person| person.attendee.level <= level }
      end

      # @return [Array<Catalogue::Technique>] of the class's steps
      def techniques
        plan.techniques
      end

      # @return [Steps::Prepared]
      def prepared
        @prepared ||= Steps::Prepared.new(plan.order.steps, teaching.prepared)
      end

      # @param level [Integer] up to which it is prepared
      # @return [Float] minutes the instructor takes for one person to do a step, with what must be done before it and is not yet prepared
      def preparing(step, level)
        prepared.with(step).reject { |one| level <= prepared.level(one) }.sum do |one|
          @times.minutes(one, plan.technique_of(one), Session::Preparation::INSTRUCTOR) * plan.design.made
        end
      end

      # @return [Float] minutes of such tasks, added up over these people
      def minutes_of(some, &task)
        some.sum { |person| person.tasks.select(&task).sum(&:minutes) }
      end
    end
  end
end
