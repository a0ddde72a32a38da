# frozen_string_literal: true

module Core
  module Comparison
    # One version of a project for a group, against the version that is planned: what a person sees, pays, learns and may get wrong.
    #
    # @param cures [Fit::Cures::SetWay] that make it of the planned one; none is the planned one itself
    # @param design Project::Design
    # @param suits Suitability
    # @param plan Planning::Plan, nil where it cannot be built
    # @param base plan of the planned version
    Variant = Value.define(:cures, :design, :suits, :plan, :base)

    class Variant
      # @param inputs [Planning::Inputs] of the class @param cures [Array<Fit::Cures::SetWay>]
      # @param market [Supply::Market] @param stock [Supply::Stock] free to the class
      # @return [Variant]
      def self.of(inputs, cures, market, stock)
        design = cures.reduce(inputs.design) { |made, cure| cure.apply(made) }
        suits = Suitability.of(inputs, design, market, stock)
        base = inputs.plan
        plan = cures.empty? ? base : (inputs.with(design: design).plan unless suits.problem)
        new(cures: cures, design: design, suits: suits, plan: plan, base: base)
      end

      # @return [Boolean]
      def built?
        !plan.nil?
      end

      # @return [Array<Measure::Length>] by how much each person's piece comes out larger, of those who have one either way
      def larger
        both.map { |was, now| now.piece.inside - was.piece.inside }
      end

      # @return [Array<String>] names for whom the size is further off than is worth a look
      def far_off
        plan.people.select { |one| one.fitted? && one.piece.status == :tight }.map { |one| one.attendee.name }
      end

      # @return [Array<Float>] minutes of work by person, least first
      def minutes
        plan.people.select(&:fitted?).map(&:working_minutes).sort
      end

      # @return [Hash{Catalogue::Part=>Integer}] how many more of each part the whole class needs, negative where fewer
      def parts
        was, now = [base, plan].map { |one| one.people.flat_map(&:needs).group_by(&:part).transform_values { |needs| needs.sum(&:count) } }
        differences(was, now)
      end

      # @return [Hash{Catalogue::Line=>Measure::Length}] how much more of each line
      def lines
        was, now = [base, plan].map { |one|
          one.people.flat_map(&:cuts).group_by(&:line).transform_values { |cuts| cuts.sum { |cut| cut.total.nm } }
        }
        differences(was, now).transform_values { |nanometres| Measure::Length.new(nanometres) }
      end

      # @return [Array<Catalogue::Technique>] that the planned version does not ask for
      def fresh
        techniques(plan) - techniques(base)
      end

      # @return [Array<Catalogue::Technique>] that only the planned version asks for
      def gone
        techniques(base) - techniques(plan)
      end

      # @return [Array<Catalogue::Fault>] that may be expected beyond those of the planned version
      def faults
        fresh.flat_map(&:faults)
      end

      # @return [(Array<Making::StepUse>, Array<Making::StepUse>)] steps that come, and steps that go
      def steps
        was, now = [base, plan].map(&:all_steps)
        [beyond(now, was), beyond(was, now)]
      end

      private

      def beyond(some, others)
        known = others.map { |step| [step.key, step.text, step.technique] }
        some.reject { |step| known.include?([step.key, step.text, step.technique]) }
      end

      def both
        base.people.zip(plan.people).select { |pair| pair.all?(&:fitted?) }
      end

      def techniques(one)
        one.techniques
      end

      def differences(was, now)
        (was.keys | now.keys).to_h { |item| [item, now.fetch(item, 0) - was.fetch(item, 0)] }.reject { |_, more| more.zero? }
      end
    end
  end
end
