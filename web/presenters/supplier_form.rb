# frozen_string_literal: true

module Web
  module Presenters
    # A supplier, as typed.
    class SupplierForm < Form
      attr_reader :key

      # @param key [String, nil] of the one changed
      def initialize(studio, key, params)
        @market = studio.market.all
        @key = key
        super(typed(params, %w[name delivery minimum]), Contracts::SupplierContract.new(currency: @market.currency))
      end

      # @return [Core::Supply::Supplier]
      def supplier
        Core::Supply::Supplier.new(key: key || key_from(value(:name), @market.suppliers, otherwise: 'supplier'), name: value(:name),
          delivery: money(:delivery), minimum: money(:minimum))
      end

      private

      def money(name)
        Core::Money.parse(value(name).empty? ? '0' : value(name), @market.currency)
      end
    end
  end
end
