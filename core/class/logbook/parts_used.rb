# frozen_string_literal: true

module Core
  module Logbook
    # The parts that people used in a class, and the spares that went.
    class PartsUsed
      # number: pieces, by the share of the steps that were done · level: of the one who used them
      Use = Value.define(:part, :number, :level)

      # @param plan [Plan] of a class that was held @param evening [Live::LiveState]
      def initialize(plan, evening)
        @plan = plan
        @there = evening.people.values.select { |person| person.here && person.place.positive? }
      end

      # @return [Boolean] whether no spare was written down at all, since then nobody may have looked
      def unknown?
        spares.empty? && rejects.empty?
      end

      # @return [Array<String>] keys of parts
      def spares
        @there.flat_map(&:spares)
      end

      # @return [Array<String>] keys of parts
      def rejects
        @there.flat_map(&:rejects)
      end

      # @param key [String] @return [Symbol, nil] kind of a part
      def kind(key)
        @plan.table.parts[key]&.kind
      end

      # @return [Array<Use>] of what someone did not come to, nothing was used
      def uses
        @there.flat_map do |person|
          one = @plan.person(person.key)
          share = person.place.fdiv(person.tasks.size)
          one.needs.map { |need| Use.new(part: need.part, number: need.count * share, level: one.attendee.level) }
        end
      end
    end
  end
end
