# frozen_string_literal: true

module Web
  module Presenters
    # A supplier, as typed.
    class SupplierForm
      include Fields

      attr_reader :key

      # @param key [String, nil] of the one changed
      def initialize(studio, key, params)
        @market = studio.market.all
        @key = key
        @values = %w[name delivery minimum].to_h { |name| [name, clean(params[name])] }
        @errors = check
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

      def check
        errors = {}
        errors[:name] = 'Give a name of at most 120 characters.' if value(:name).empty? || value(:name).length > 120
        %i[delivery minimum].each { |name|
          errors[name] = 'Give an amount such as 4.50, or leave it empty.' unless money(name) && !money(name).minor.negative?
        }
        errors
      end
    end
  end
end
