# frozen_string_literal: true

module Web
  module Presenters
    # After how many months a class counts half in what is learnt, as typed.
    class FadeForm < Form
      def initialize(params)
        super(typed(params, %w[months]), Contracts::FadeContract.new)
      end

      # @param months [Integer, nil]
      def self.show(months)
        new({ 'months' => months.to_s })
      end

      # @return [Integer, nil]
      def months
        value(:months).to_i unless value(:months).empty?
      end
    end
  end
end
