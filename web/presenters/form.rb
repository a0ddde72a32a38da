# frozen_string_literal: true

module Web
  module Presenters
    # A submitted form whose text fields are checked by a contract.
    class Form
      include Fields

      # @param params [Hash] as submitted @param fields [Array<Symbol>] @param contract [Dry::Validation::Contract]
      def initialize(params, fields, contract)
        @values = fields.to_h { |name| [name.to_s, clean(params[name.to_s])] }
        @errors = contract.call(@values).errors.to_h.transform_values(&:first)
      end
    end
  end
end
