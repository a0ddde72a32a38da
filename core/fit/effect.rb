# frozen_string_literal: true

module Core
  module Fit
    # What a cure changes for one person: beads and finished size before and after, and what is wrong then.
    # bill_before, bill_after: {part or line => number or length} of the materials
    # left: keys of findings that are still wrong after it · fresh: keys of those that are only wrong after it
    Effect = Value.define(:cure, :beads_before, :beads_after, :inside_before, :inside_after, :left, :fresh, :bill_before, :bill_after)

    class Effect
      # @param finding [Finding] of this person @return [Array<Effect>] of its cures that put it right and nothing else wrong, least
      #   change first
      def self.offered(finding, design, person, table, open_rings: :warn)
        finding.cures.filter_map { |cure|
          of(cure, design, person, table, open_rings: open_rings)
        }.select { |effect| effect.cures?(finding) }.uniq { |effect| effect.cure.key }
      end

      # @param cure [Cure] @param design [Project::Design] @param person [PersonPlan] fitted
      # @param table [Catalogue::Table] @param open_rings [Symbol]
      # @return [Effect, nil] nil when the design can then not be made at this size
      def self.of(cure, design, person, table, open_rings: :warn)
        after = planned(cure.apply(design), cure.apply_to_person(person.attendee), table, open_rings)
        return unless after.fitted?

        bill = lambda do |one|
          lines = one.cuts.group_by(&:line).transform_values { |cuts| Measure::Length.sum(cuts.map(&:total)) }
          one.needs.to_h { |need| [need.part, need.count] }.merge(lines)
        end
        wrong = ->(plan) { plan.findings.select(&:worth_a_look?).map(&:key) }
        new(cure: cure, beads_before: person.bead_count, beads_after: after.bead_count, inside_before: person.piece.inside,
          inside_after: after.piece.inside,
          bill_before: bill.(person), bill_after: bill.(after),
          left: wrong.(after) & wrong.(person),
          fresh: after.findings.select(&:wrong?).map(&:key) - person.findings.select(&:wrong?).map(&:key))
      rescue Error
        nil
      end

      # @return [PersonPlan] as if the class were theirs alone
      def self.planned(design, attendee, table, open_rings)
        workshop = Workshop.new(key: 'effect', title: '', date: nil, start: Measure::ClockTime.new(0), minutes: 60)
        Inputs.new(workshop: workshop, design: design, attendees: [attendee], table: table, open_rings: open_rings).planner
          .person_plan(attendee)
      end
      private_class_method :planned

      # @param market [Supply::Market] @return [Money, nil] how much more one piece costs; nil where something that changes has no price
      def cost(market)
        changed = (bill_before.keys | bill_after.keys).reject { |item| bill_before[item] == bill_after[item] }
        prices = changed.to_h { |item| [item, market.unit_cost(item)] }
        return if prices.value?(nil)

        market.money(changed.sum { |item| prices[item] * (amount(bill_after[item]) - amount(bill_before[item])) }.round)
      end

      # @return [Boolean]
      def cures?(finding)
        !left.include?(finding.key) && fresh.empty?
      end

      private

      def amount(number)
        number.is_a?(Measure::Length) ? number.nm : number.to_i
      end
    end
  end
end
