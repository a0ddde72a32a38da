# frozen_string_literal: true

module Web
  module Presenters
    # The settings of a class; all else of it stays.
    class ClassForm < SettingsForm
      FIELDS = Contracts::ClassContract.judged

      def initialize(params)
        super(params, Core::Setup::Workshop, Contracts::ClassContract.new)
      end

      # @param state [Store::ClassState] @return [Store::ClassState]
      def apply(state)
        state.with(workshop: state.workshop.with(**changes))
      end
    end
  end
end
