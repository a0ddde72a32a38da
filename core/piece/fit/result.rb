# frozen_string_literal: true

module Core
  module Fit
    # What a rule says of one join, or of a whole piece.
    #
    # @param rule its key
    # @param status :fits, :tight, :press, :will_not, :unknown, or :watch for someone to keep an eye on
    # @param margin room left, negative when it lacks (nil without a length)
    # @param code wording key of the reason
    # @param values for its wording
    # @param join what was judged, nil for a whole piece
    # @param cures [Cure], least change first
    # @param missing [(part or line, measure)] asked for
    # @param defaults [Symbol] values taken from practice
    Result = Value.define(:rule, :status, :code, join: nil, margin: nil, values: {}.freeze, cures: [].freeze, missing: [].freeze,
      defaults: [].freeze) do
      # @return [String] names the same finding in another computation of the same design
      def key
        [rule, code, *(join ? [join.inner.key, join.outer.key, join.passes, join.component] : [])].join('~')
      end

      def at
        join&.at
      end

      def wrong?
        %i[will_not unknown].include?(status)
      end

      # @return [Boolean] whether it is about who makes the piece, not about the piece
      def personal?
        rule == :suits_person
      end

      def worth_a_look?
        status != :fits
      end
    end
  end
end
