# frozen_string_literal: true

module Web
  module Presenters
    # A number of months as typed, or none.
    class MonthsForm < Form
      # @param params [Hash] @param contract [Contracts::MonthsContract]
      def initialize(params, contract)
        super(typed(params, %w[months]), contract)
      end

      # @return [Integer, nil]
      def months
        value(:months).to_i unless value(:months).empty?
      end
    end
  end
end
