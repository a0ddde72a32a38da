# frozen_string_literal: true

module Web
  module Presenters
    # What is chosen for one class about materials and money.
    class SupplyForm < SettingsForm
      SUPPLY = Core::Setup::SupplySettings

      def initialize(studio, params)
        currency = studio.market.all.currency
        super(params, SUPPLY, Contracts::SupplyContract.new(currency: currency), currency: currency)
        lines = studio.catalogue.table.lines.keys
        @tails = beside(params['tails'], lines)
        @cut = beside(params['cut'], lines)
      end

      # @param state [Store::ClassState] @return [Store::ClassState]
      def apply(state)
        supply = state.workshop.supply
        state.with(workshop: state.workshop.with(supply: supply.with(**changes,
          tails_by_line: chosen(@tails, supply, :tails_by_line), cut_by_line: chosen(@cut, supply, :cut_by_line))))
      end

      private

      # An empty choice goes back to what holds for all.
      def chosen(given, supply, field)
        known = SUPPLY.field(field).each.of.map(&:to_s)
        given.reduce(supply.public_send(field)) do |all, (line, choice)|
          known.include?(choice) ? all.merge(line => choice.to_sym) : all.except(line)
        end
      end
    end
  end
end
