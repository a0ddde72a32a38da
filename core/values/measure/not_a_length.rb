# frozen_string_literal: true

module Core
  module Measure
    # Text that does not read as a length.
    class NotALength < Error
      attr_reader :text, :reason

      # @param reason [Symbol] :blank, :unreadable, :no_unit, :unknown_unit or :zero_denominator
      def initialize(text, reason)
        @text = text
        @reason = reason
        super("#{text.inspect} is not a length (#{reason})")
      end
    end
  end
end
