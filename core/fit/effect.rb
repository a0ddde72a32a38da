# frozen_string_literal: true

module Core
  module Fit
    # What a cure changes for one person: beads, line and landing before and after, and whether anything new goes wrong.
    # nil after a cure that leaves no piece: after_* are nil then
    Effect = Value.define(:beads_before, :beads_after, :landing_before, :landing_after, :wrong_before, :wrong_after)

    class Effect
      # @param cure [Cure] @param design [Project::Design] @param person [PersonPlan] fitted
      # @param table [Catalogue::Table] @param open_rings [Symbol]
      # @return [Effect, nil] nil when the design can then not be made at this size
      def self.of(cure, design, person, table, open_rings: :warn)
        attendee = cure.code == :use_colourway ? person.attendee.with(colourway: cure.value) : person.attendee
        workshop = Workshop.new(key: 'effect', title: '', date: nil, start: Measure::ClockTime.new(0), minutes: 60)
        after = Plan.for(workshop: workshop, design: cure.apply(design), attendees: [attendee], table: table, open_rings: open_rings).people.first
        return unless after.fitted?

        new(beads_before: person.bead_count, beads_after: after.bead_count, landing_before: person.piece.landing, landing_after: after.piece.landing,
            wrong_before: person.findings.count(&:wrong?), wrong_after: after.findings.count(&:wrong?))
      rescue Construction::InvalidParameters, UnknownKey
        nil
      end
    end
  end
end
