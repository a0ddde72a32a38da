# frozen_string_literal: true

module Web
  module Presenters
    # A submitted form whose text fields are judged by a contract.
    class Form
      include Fields

      # @param values [Hash{String=>Object}] what was typed, by field @param contract [Contracts::Contract]
      def initialize(values, contract)
        @values = values
        @errors = contract.call(values).errors.to_h.transform_values(&:first)
      end

      private

      # @return [Hash{String=>String}] every field, empty where nothing was sent
      def typed(params, names)
        names.to_h { |name| [name.to_s, clean(params[name.to_s])] }
      end

      # @return [Hash{String=>String}] only the fields that were sent
      def sent(params, names)
        typed(params, names.select { |name| params[name.to_s].is_a?(String) })
      end
    end
  end
end
