# frozen_string_literal: true

module Web
  module Presenters
    # How one class runs, as typed.
    class SessionForm < SettingsForm
      SESSION = Core::Setup::SessionSettings

      # @param minutes [Integer] of the class
      def initialize(studio, params, minutes)
        currency = studio.market.all.currency
        super(params, SESSION, Contracts::SessionContract.new(currency: currency, class_minutes: minutes), currency: currency)
        more = Contracts::TypedField.new(SESSION.field(:more_tools).each, currency)
        typed = beside(params['more_tools'], studio.catalogue.table.tools.keys)
        @more = typed.reject { |_, text| more.wrong(text) }.transform_values(&:to_i)
      end

      # @return [Store::ClassState]
      def apply(state)
        session = state.workshop.session
        more = session.more_tools.merge(@more).reject { |_, number| number.zero? }
        state.with(workshop: state.workshop.with(session: session.with(**changes, more_tools: more)))
      end
    end
  end
end
