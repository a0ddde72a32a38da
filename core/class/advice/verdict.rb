# frozen_string_literal: true

module Core
  module Advice
    # One judgement on a plan.
    #
    # @param status :fits, :tight, :will_not, :unknown, or :awaited while it is being worked out
    # @param section where on the class page it is mended
    # @param subjects attendee keys or tool keys it is about
    # @param values for its wording; number is what it counts
    Verdict = Value.define(:code, :status, :section, subjects: [].freeze, values: {}.freeze) do
      def in_the_way?
        %i[will_not unknown].include?(status)
      end
    end
  end
end
