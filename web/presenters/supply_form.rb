# frozen_string_literal: true

module Web
  module Presenters
    # What is chosen for one class about materials and money. Only the fields that were sent are changed.
    class SupplyForm < Form
      C = Contracts::SupplyContract

      def initialize(studio, params)
        @currency = studio.market.all.currency
        super(sent(params, [*C::CHOICES.keys, *C::WHOLE_FIELDS.keys, *C::MONEY.keys]), C.new(currency: @currency))
        lines = studio.catalogue.table.lines.keys
        @tails = beside(params['tails'], lines)
        @cut = beside(params['cut'], lines)
      end

      # @param state [Store::ClassState] @return [Store::ClassState]
      def apply(state)
        supply = state.workshop.supply
        state.with(workshop: state.workshop.with(supply: supply.with(**changes,
          tails_by_line: chosen(@tails, supply.tails_by_line, Core::Ends::Tails::POLICIES),
          cut_by_line: chosen(@cut, supply.cut_by_line, C::PROVISION::WAYS))))
      end

      private

      def changes
        values.keys.map(&:to_sym).to_h { |name| [name, read(name)] }
      end

      # An empty choice goes back to what holds for all.
      def chosen(given, before, known)
        given.reduce(before) do |all, (line, choice)|
          known.map(&:to_s).include?(choice) ? all.merge(line => choice.to_sym) : all.except(line)
        end
      end

      def read(name)
        case name
        when :off_reel, :fill_up then value(name) == '1'
        when *C::CHOICES.keys then value(name).to_sym
        when *C::MONEY.keys then Core::Money.parse(value(name), @currency).minor
        else value(name).to_i
        end
      end
    end
  end
end
