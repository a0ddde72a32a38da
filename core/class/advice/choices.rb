# frozen_string_literal: true

module Core
  module Advice
    # Where makers part ways: the choices of a design, each way of them tried for one person of the class.
    class Choices
      # @param component its key
      # @param construction its key
      # @param parameter of the construction
      # @param ways [Way], the chosen one first
      Choice = Value.define(:component, :construction, :parameter, :ways)
      # One way.
      #
      # @param cure Fit::Cures::SetWay that chooses it
      # @param chosen whether it is the one planned with
      # @param inside by how much the piece comes out larger, negative where smaller
      # @param parts {part => more of it}, negative where fewer, of what differs
      # @param lines {line => more of it}, as lengths
      # @param minutes by how much longer the person works at it
      # @param fresh [Catalogue::Technique] that the person does not know yet and only this way asks for
      # @param wrong [Fit::Result] that would not go together
      Way = Value.define(:cure, :chosen, inside: Measure::Length::ZERO, parts: {}.freeze, lines: {}.freeze, minutes: 0.0,
        fresh: [].freeze, wrong: [].freeze) do
        def name
          cure.way
        end
      end

      # @param plan [Planning::Plan] @param remedies [Remedies] of the plan @param calibration [Setup::Calibration]
      def initialize(plan, remedies, calibration)
        @plan = plan
        @remedies = remedies
        @times = Steps::StepTime.new(calibration, on: plan.workshop.date)
      end

      # @param attendee [People::Attendee] fitted in the plan
      # @yieldparam construction [Symbol] @yieldparam parameter [Symbol] @yieldreturn [Boolean] whether there are reasons to tell
      # @return [Array<Choice>] those with at least two ways that can be made
      def for(attendee)
        design = @plan.own_ways.for(attendee).reduce(@plan.design) { |made, way| way.apply(made) }
        design.components.flat_map do |component|
          kind = Construction::Kinds.fetch(component.construction)
          now = kind.parameters.to_h { |name, one| [name, component.parameters.fetch(name.to_s, one.default)] }
          declared = kind.parameters.values.select { |one|
            one.type == :choice && one.says_something?(now) && yield(kind.key, one.name) }
          declared.map { |one| choice(component, kind, one, attendee) }
        end.select { |one| one.ways.size > 1 }
      end

      private

      def choice(component, kind, declared, attendee)
        now = (component.parameters[declared.name.to_s] || declared.default).to_s
        ways = declared.of.filter_map do |way|
          beside = kind.goes_with(declared.name, way, component.parameters, @plan.table)
          way(Fit::Cures::SetWay.new(component.key, declared.name, way, beside), way.to_s == now, attendee) if beside
        end
        Choice.new(component: component.key, construction: kind.key, parameter: declared.name, ways: ways.partition(&:chosen).flatten)
      end

      def way(cure, chosen, attendee)
        return Way.new(cure: cure, chosen: true) if chosen

        effect = @remedies.effect(cure, attendee) or return
        before, after = effect.before, effect.after
        Way.new(cure: cure, chosen: false, inside: after.piece.inside - before.piece.inside, **materials(effect),
          minutes: minutes(after, attendee) - minutes(before, attendee), fresh: fresh(after, attendee) - fresh(before, attendee),
          wrong: after.findings.select { |one| one.status == :will_not && before.findings.none? { |other| other.key == one.key } })
      rescue UnknownKey
        # It asks for a technique that is not taught here.
        nil
      end

      # @return [Hash{Symbol=>Hash}]
      def materials(effect)
        parts, lines = effect.changes.partition { |item, _| item.is_a?(Catalogue::Part) }
        { parts: parts.to_h, lines: lines.to_h.transform_values { |nanometres| Measure::Length.new(nanometres) } }
      end

      def minutes(own, attendee)
        own.piece.steps.sum { |step| @times.minutes(step, @plan.technique_of(step), attendee) } * @plan.design.made
      end

      def fresh(own, attendee)
        techniques = own.piece.steps.map { |step| @plan.technique_of(step) }.uniq
        techniques.select { |one| People::Familiarity.of(attendee, one, @plan.workshop.date) < People::Familiarity::KNOWN }
      end
    end
  end
end
