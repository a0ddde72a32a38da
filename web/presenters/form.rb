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

      # @return [Hash{String=>String}] what was typed beside each of several things, by their keys
      def beside(given, known)
        return {} unless given.is_a?(Hash)

        given.select { |key, text| known.include?(key) && text.is_a?(String) }.transform_values { |text| clean(text)[0, 40] }
      end
    end
  end
end
