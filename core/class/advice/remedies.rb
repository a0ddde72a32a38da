# frozen_string_literal: true

module Core
  module Advice
    # Tries the cures of what is wrong before they are offered: each piece is fitted again with the cure, in the same class.
    class Remedies
      # @param plan [Plan] @param table [Catalogue::Table] @param open_rings [Symbol] both as the plan was worked out with
      # @param fittings [Planning::Fittings] of the plan's design; what is fitted here is kept with them
      def initialize(plan, table, open_rings: :warn, fittings: Planning::Fittings.new(plan.design, table))
        @plan = plan
        @table = table
        @open_rings = open_rings
        @fittings = fittings
      end

      # @param finding [Fit::Result] @param attendee [People::Attendee] whose piece it is of
      # @return [Array<Effect>] of its cures that put it right and nothing else wrong, least change first
      def offered(finding, attendee)
        tried = finding.cures.filter_map { |cure| effect(cure, attendee) }
        tried.select { |effect| effect.cures?(finding) }.uniq { |effect| effect.cure.key }
      end

      # @return [Effect, nil] nil where the piece cannot be made with it, at this size
      def effect(cure, attendee)
        after = fitter(@fittings.with_cure(cure), attendee, cure).own(cure.apply_to_person(attendee))
        Effect.new(cure: cure, before: before.own(attendee), after: after) if after.fitted?
      rescue Error
        nil
      end

      private

      def before
        @before ||= Planning::Fitter.new(@plan.workshop, @plan.design, attendees, @table, open_rings: @open_rings, fittings: @fittings)
      end

      def fitter(fittings, attendee, cure)
        others = attendees.map { |other| other.key == attendee.key ? cure.apply_to_person(other) : other }
        Planning::Fitter.new(without_own_way(cure), fittings.design, others, @table, open_rings: @open_rings, fittings: fittings)
      end

      # A way that is tried is tried in place of the person's own.
      def without_own_way(cure)
        teaching = @plan.workshop.teaching
        return @plan.workshop unless cure.is_a?(Fit::Cures::SetWay) && teaching.ways.any?

        @plan.workshop.with(teaching: teaching.with(ways: Planning::OwnWays.without(teaching.ways, cure)))
      end

      def attendees
        @plan.people.map(&:attendee)
      end
    end
  end
end
