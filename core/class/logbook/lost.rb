# frozen_string_literal: true

module Core
  module Logbook
    # Parts of one kind that were used in a class, and how many spares went.
    #
    # @param kind of part
    # @param uses as if all had been of level 3, whose losses are the usual ones
    # @param session names the class
    # @param weight how much it counts
    Lost = Value.define(:kind, :uses, :lost, :session, weight: 1.0)

    class Lost
      # @param plan [Plan] of a class that was held @param evening [Live::LiveState]
      # @return [Array<Lost>] one for each kind; none where no spare was written down at all, since then nobody may have looked
      def self.of(plan, evening, session)
        there = evening.people.values.select { |person| person.here && person.place.positive? }
        spares = there.flat_map(&:spares).filter_map { |key| plan.table.parts[key]&.kind }.tally
        return [] if there.all? { |person| person.spares.empty? && person.rejects.empty? }

        uses(plan, there).map do |kind, number|
          new(kind: kind, uses: number, lost: spares.fetch(kind, 0), session: session)
        end
      end

      # Of what someone did not come to, nothing was used.
      def self.uses(plan, there)
        there.each_with_object(Hash.new(0.0)) do |person, all|
          one = plan.person(person.key)
          share = person.place.fdiv(person.tasks.size) * Materials::Loss::BY_LEVEL.fetch(one.attendee.level)
          one.needs.each { |need| all[need.part.kind] += need.count * share }
        end
      end
      private_class_method :uses
    end
  end
end
