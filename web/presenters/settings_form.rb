# frozen_string_literal: true

module Web
  module Presenters
    # Some fields of a declared value, as typed. Only those that were sent are changed.
    class SettingsForm < Form
      # @param type [Class] made by Core::Fields.define @param contract [Contracts::Contract] that judges it
      # @param currency [String, nil] of its amounts
      def initialize(params, type, contract, currency: nil)
        @type = type
        @currency = currency
        super(sent(params, contract.class.judged), contract)
      end

      private

      # @return [Hash{Symbol=>Object}] what was typed, as values
      def changes
        values.keys.map(&:to_sym).select { |name| @type.fields.key?(name) }.to_h { |name|
          [name, Contracts::TypedField.new(@type.field(name), @currency).read(value(name))]
        }
      end
    end
  end
end
