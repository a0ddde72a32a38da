# frozen_string_literal: true

module Core
  module Fit
    # What a rule says of one join, or of a whole piece.
    #
    # rule: its key · status: :fits, :tight, :press, :will_not, :unknown, or :watch for someone to keep an eye on · margin: room left,
    # negative when it lacks (nil without a length)
    # code: wording key of the reason · values: for its wording · join: what was judged, nil for a whole piece
    # cures: [Cure], least change first · missing: [(part or line, measure)] asked for · defaults: [Symbol] values taken from practice
    Finding = Value.define(:rule, :status, :code, join: nil, margin: nil, values: {}.freeze, cures: [].freeze, missing: [].freeze,
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

      def worth_a_look?
        status != :fits
      end
    end
  end
end
