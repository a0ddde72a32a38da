# frozen_string_literal: true

module Web
  module Presenters
    # How one class runs, as typed. Only the fields that were sent are changed.
    class SessionForm < Form
      C = Contracts::SessionContract
      MORE = Core::Setup::SessionSettings::MORE
      FIELDS = [*C::WHOLE_FIELDS.keys, *C::MONEY, :demonstrations, *C::CHOICES].freeze

      # @param minutes [Integer] of the class
      def initialize(studio, params, minutes)
        @currency = studio.market.all.currency
        super(sent(params, FIELDS), C.new(currency: @currency, class_minutes: minutes))
        @more = beside(params['more_tools'], studio.catalogue.table.tools.keys).select do |_, text|
          text.match?(C::WHOLE) && MORE.cover?(text.to_i)
        end
      end

      # @return [Store::ClassState]
      def apply(state)
        session = state.workshop.session
        more = session.more_tools.merge(@more.transform_values(&:to_i)).reject { |_, number| number.zero? }
        changes = values.keys.map(&:to_sym).to_h { |name| [name, read(name)] }
        state.with(workshop: state.workshop.with(session: session.with(**changes, more_tools: more)))
      end

      private

      def read(name)
        case name
        when :demonstrations then value(name).to_sym
        when *C::CHOICES then value(name) == '1'
        when *C::MONEY then Core::Money.parse(value(name), @currency).minor
        else value(name).to_i
        end
      end
    end
  end
end
