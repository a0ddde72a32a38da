# frozen_string_literal: true

module Core
  module Logbook
    # What people take out of a class: how often they did each technique, and when.
    module ExperienceGained
      # However often it comes in one class, it counts as so many times at the most (from memory): the tenth bead teaches little.
      MOST = 5

      module_function

      # @param plan [Plan] @param evening [Live::LiveState] what was tapped; where nothing was, all that was planned counts as done
      # @return [Array<Attendee>] everyone of the class, with what they have done now
      def after(plan, evening)
        plan.people.map { |one| one.fitted? ? experienced(one, evening, plan.workshop.date) : one.attendee }
      end

      def experienced(one, evening, date)
        done = done(one, evening).group_by { |task| task.technique.key }
        known = one.attendee.experience
        fresh = done.to_h do |key, tasks|
          times = [tasks.sum { |task| task.kind == :step ? task.step.repeats : 1 }, MOST].min
          [key, People::Experience.new(times: [(known[key]&.times || 0) + times, People::Experience::TIMES.end].min, last: date)]
        end
        one.attendee.with(experience: known.merge(fresh))
      end

      # @return [Array<Steps::Task>] what someone did
      def done(one, evening)
        return one.tasks unless evening.started

        person = evening.people[one.attendee.key] or return []
        person.here ? person.tasks.first(person.place).reject { |task| person.left_out.include?(task.step.key) } : []
      end
      private_class_method :experienced, :done
    end
  end
end
