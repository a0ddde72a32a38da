# frozen_string_literal: true

module Web
  module Presenters
    # How many copies stay, as typed.
    class CopiesForm < Form
      def initialize(params)
        super(typed(params, %w[copies]), Contracts::CopiesContract.new)
      end

      # @return [Integer]
      def copies
        value(:copies).to_i
      end
    end
  end
end
