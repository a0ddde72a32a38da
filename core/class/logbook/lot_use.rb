# frozen_string_literal: true

module Core
  module Logbook
    # How many of one part a class used, and how many of them were no good.
    #
    # @param part its key
    # @param date of the class
    # @param used without those that were no good
    # @param session names the class
    LotUse = Value.define(:part, :date, :used, :rejected, :session)

    class LotUse
      # @param plan [Plan] of a class that was held @param evening [Live::LiveState]
      # @return [Array<LotUse>] one for each part; none where no spare was written down at all, since then nobody may have looked
      def self.of(plan, evening, session)
        there = evening.people.values.select { |person| person.here && person.place.positive? }
        return [] if there.all? { |person| person.spares.empty? && person.rejects.empty? }

        rejected = there.flat_map(&:rejects).tally
        used(plan, there).map do |key, number|
          new(part: key, date: plan.workshop.date, used: number, rejected: rejected.fetch(key, 0), session: session)
        end
      end

      # Of what someone did not come to, nothing was used.
      def self.used(plan, there)
        there.each_with_object(Hash.new(0.0)) do |person, all|
          share = person.place.fdiv(person.tasks.size)
          plan.person(person.key).needs.each { |need| all[need.part.key] += need.count * share }
        end
      end
      private_class_method :used
    end
  end
end
