# frozen_string_literal: true

module Web
  module Presenters
    # How much of an order has come, as typed: a number for each thing; nothing typed means all that is due.
    class ArrivalForm < Form
      # @param ordered [Array<Store::Orders::Ordered>]
      def initialize(ordered, params)
        @due = ordered.select { |one| one.due.positive? }.to_h { |one| [one.id.to_s, one.due] }
        super({ 'came' => beside(params['came'], @due.keys) }, Contracts::ArrivalContract.new(due: @due))
      end

      # @return [Hash{Integer=>Integer}] units that came now, by the id of what was ordered
      def counts
        @due.to_h { |id, due| [id.to_i, value(:came).fetch(id, '').empty? ? due : value(:came)[id].to_i] }
      end

      # @return [String, nil]
      def problem
        error(:came)
      end
    end
  end
end
