# frozen_string_literal: true

module Web
  module Presenters
    # A submitted form: its text fields, checked by a contract.
    class Form
      attr_reader :values, :errors

      # @param params [Hash] as submitted @param fields [Array<Symbol>] @param contract [Dry::Validation::Contract]
      def initialize(params, fields, contract)
        @values = fields.to_h { |name| [name.to_s, clean(params[name.to_s])] }
        @errors = contract.call(@values).errors.to_h.transform_values(&:first)
      end

      def valid?
        errors.empty?
      end

      # @return [Draft]
      def draft
        Draft.new(values: values, errors: errors)
      end

      def value(name)
        values[name.to_s]
      end

      def error(name)
        errors[name.to_sym]
      end

      private

      # Line breaks and tabs in a one-line field become spaces; what is no text counts as empty.
      def clean(value)
        value.is_a?(String) ? value.dup.force_encoding(Encoding::UTF_8).scrub("\uFFFD").gsub(/[[:cntrl:]]+/, ' ').strip : ''
      end
    end
  end
end
