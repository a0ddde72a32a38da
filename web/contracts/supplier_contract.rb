# frozen_string_literal: true

module Web
  module Contracts
    # A supplier.
    class SupplierContract < Contract
      texts :name, :delivery, :minimum

      option :currency

      rule(:name).validate(filled: 'Give a name.', at_most: 120)
      %i[delivery minimum].each do |name|
        rule(name) do
          good = !key? || value.empty? || (Core::Money.parse(value, currency)&.minor || -1) >= 0
          key.failure('Give an amount such as 4.50, or leave it empty.') unless good
        end
      end
    end
  end
end
