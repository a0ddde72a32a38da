# frozen_string_literal: true

module Web
  module Presenters
    # What someone measured on a piece of their own, for the studio or for one of a class.
    class SwatchForm < Form
      C = Contracts::SwatchContract

      # @param plan [Core::Planning::Plan]
      def initialize(params, plan)
        @measured = SwatchForm.measured(plan)
        super(typed(params, %w[measured whose value]), C.new(measured: @measured, makers: plan.people.map { |one| one.attendee.key }))
      end

      # @return [Hash{String=>Core::Making::OwnMeasure::Use}] what of a class's project can be measured, by its address in the form
      def self.measured(plan)
        [plan.sample, *plan.people].select(&:fitted?).flat_map { |one| one.piece.measurable }.to_h { |use| [address(use), use] }
      end

      # @param use [Core::Making::OwnMeasure::Use] @return [String]
      def self.address(use)
        [use.construction, use.measure.name, use.line.key, use.about].join('/')
      end

      def studio?
        value(:whose) == C::STUDIO
      end

      # @return [Boolean] whether it is taken back
      def empty?
        value(:value).empty?
      end

      # @return [Core::Catalogue::Swatch]
      def swatch
        use.swatch(empty? ? use.usual : C.number(use, value(:value)))
      end

      # @param state [Store::ClassState] @return [Store::ClassState] with it as that person's
      def apply(state)
        attendee = state.attendee(value(:whose))
        others = attendee.swatches.reject { |one| one.same?(swatch) }
        state.replacing(attendee.with(swatches: empty? ? others : [*others, swatch]))
      end

      private

      def use
        @measured.fetch(value(:measured))
      end
    end
  end
end
