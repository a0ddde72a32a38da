# frozen_string_literal: true

module Web
  module Presenters
    # How much of an order has come and what was paid for it, as typed for each thing: no number means all that is due, no amount that
    # nobody wrote it down.
    class ArrivalForm < Form
      # @param ordered [Array<Store::Orders::Ordered>]
      def initialize(ordered, params, currency)
        @due = ordered.select { |one| one.due.positive? }.to_h { |one| [one.id.to_s, one.due] }
        @currency = currency
        super({ 'came' => beside(params['came'], @due.keys), 'paid' => beside(params['paid'], @due.keys) },
          Contracts::ArrivalContract.new(due: @due, currency: currency))
      end

      # @return [Hash{Integer=>Integer}] units that came now, by the id of what was ordered
      def counts
        @due.to_h { |id, due| [id.to_i, value(:came).fetch(id, '').empty? ? due : value(:came)[id].to_i] }
      end

      # @return [Hash{Integer=>Integer}] minor units that were paid, by the id of what was ordered
      def paid
        given = @due.keys.to_h { |id| [id.to_i, value(:paid).fetch(id, '')] }.reject { |_, text| text.empty? }
        given.transform_values { |text| Core::Money.parse(text, @currency).minor }
      end

      # @return [Draft]
      def draft
        Draft.new(values: %w[came paid].flat_map { |name| value(name).map { |id, text| ["#{name}_#{id}", text] } }.to_h, errors: errors)
      end
    end
  end
end
