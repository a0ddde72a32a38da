# frozen_string_literal: true

module Web
  module Presenters
    # What is chosen for one class about its steps.
    class TeachingForm < SettingsForm
      # @param steps [Array<Making::StepUse>] of the class @param techniques [Hash{String=>Technique}]
      def initialize(params, steps, techniques)
        super(params, Core::Setup::TeachingSettings, Contracts::TeachingContract.new)
        @prepared = levels(params['prepared'], steps.select(&:preparable).map(&:key))
        @easier = levels(params['easier'], techniques.values.select(&:easier).map(&:key))
        @techniques = techniques
        @stand_in = clean(params['stand_in'])
        @stands = params['stands'] != '0'
      end

      # @return [Store::ClassState]
      def apply(state)
        teaching = state.workshop.teaching
        state.with(workshop: state.workshop.with(teaching: teaching.with(**changes, prepared: merged(teaching.prepared, @prepared),
          easier: merged(teaching.easier, @easier), stand_ins: stand_ins(teaching.stand_ins))))
      end

      private

      def stand_ins(before)
        return before - [@stand_in] unless @stands

        technique, tool = @stand_in.split('/', 2)
        would_do = @techniques[technique]&.substitutes.to_a.any? { |one| one.by == tool }
        would_do ? before | [@stand_in] : before
      end

      # Levels 0 to 5 by key; what names nothing of the class is left out.
      def levels(given, known)
        beside(given, known).select { |_, level| level.match?(/\A[0-5]\z/) }.transform_values(&:to_i)
      end

      def merged(before, chosen)
        before.merge(chosen).reject { |_, level| level.zero? }
      end
    end
  end
end
