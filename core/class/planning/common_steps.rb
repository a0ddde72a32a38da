# frozen_string_literal: true

module Core
  module Planning
    # The steps that a class works together, told with everyone's numbers, and those that only some of it work.
    class CommonSteps
      # @param leader [PersonPlan] whose steps are the common ones @param people [Array<PersonPlan>] fitted
      # @param order_of [#call] of steps, see Planner#order_of
      def initialize(leader, people, order_of)
        @leader = leader
        @people = people
        @order_of = order_of
      end

      # @return [Steps::StepOrder]
      def order
        @order ||= begin
          steps = @leader.fitted? ? @leader.piece.steps : []
          order = @order_of.call(steps)[:order]
          order.with(steps: order.steps.map { |step| common(steps.find { |own| own.key == step.key }) })
        end
      end

      # Steps of those who work the piece another way, in their order.
      # @return [Array<(Making::StepUse, Array<People::Attendee>)>]
      def beyond
        known = order.steps.to_set { |step| said_as(step) }
        own = own_steps.flat_map { |person, steps|
          @order_of.call(person.piece.steps)[:order].steps.reject { |step| known.include?(said_as(step)) }
            .flat_map { |step| makers(person).map { |attendee| [steps.fetch(step.key), attendee] } }
        }
        own.group_by { |step, _| said_as(step) }.values.map { |same| [same.first.first, same.map(&:last)] }
      end

      # @param step [Making::StepUse] of the order
      # @return [Hash{People::Attendee=>Hash{Symbol=>Object}}] what people differ in
      def numbers(step)
        names = step.values.select { |_, value| value.is_a?(FromTo) }.keys - [:count]
        return {} if names.empty?

        by_steps = own_steps.to_h { |person, steps| [person.piece.steps.object_id, steps[step.key]&.values.to_h.slice(*names)] }
        @people.to_h { |person| [person.attendee, by_steps.fetch(person.piece.steps.object_id)] }.reject { |_, own| own.empty? }
      end

      private

      # @param step [Making::StepUse] of the leader
      # @return [Making::StepUse] with ranges where others have other numbers
      def common(step)
        others = own_steps.filter_map { |_, steps| steps[step.key] }.select { |other| other.text == step.text }
        return step if others.all? { |other| other.values == step.values && other.repeats == step.repeats }

        values = step.values.to_h { |name, value| [name, FromTo.of(others.map { |other| other.values.fetch(name, value) })] }
        counts = FromTo.of(others.map { |other| other.repeats / other.alike })
        step.with(values: counts.is_a?(FromTo) ? values.merge(count: counts) : values)
      end

      # @return [Array<(PersonPlan, Hash{String=>Making::StepUse})>] one person of all who make the same
      def own_steps
        @own_steps ||= @people.uniq { |person| person.piece.steps.object_id }
          .map { |person| [person, person.piece.steps.to_h { |step| [step.key, step] }] }
      end

      def makers(person)
        @people.select { |one| one.piece.steps.equal?(person.piece.steps) }.map(&:attendee)
      end

      def said_as(step)
        [step.key, step.text, step.technique]
      end
    end
  end
end
