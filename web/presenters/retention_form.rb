# frozen_string_literal: true

module Web
  module Presenters
    # How long names stay with held classes, as typed.
    class RetentionForm < Form
      def initialize(params)
        super(typed(params, %w[months]), Contracts::RetentionContract.new)
      end

      # @return [Integer, nil]
      def months
        value(:months).to_i unless value(:months).empty?
      end
    end
  end
end
