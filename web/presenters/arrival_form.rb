# frozen_string_literal: true

module Web
  module Presenters
    # How much of an order has come, as typed: a number for each thing; nothing typed means all that is due.
    class ArrivalForm
      # Units that came now, by the id of what was ordered.
      attr_reader :counts, :problem

      # @param ordered [Array<Store::Orders::Ordered>]
      def initialize(ordered, params)
        given = params['came'].is_a?(Hash) ? params['came'] : {}
        @counts = ordered.select { |one| one.due.positive? }.to_h { |one| [one.id, read(one, given[one.id.to_s])] }
      end

      def valid?
        problem.nil?
      end

      private

      def read(ordered, text)
        typed = text.is_a?(String) ? text.scrub.strip : ''
        return ordered.due if typed.empty?
        return typed.to_i if typed.match?(/\A\d{1,7}\z/) && typed.to_i <= ordered.due

        @problem = "“#{typed[0, 20]}” was not entered: give how many came, a whole number up to the #{ordered.due} that are due."
        0
      end
    end
  end
end
