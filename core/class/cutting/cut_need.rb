# frozen_string_literal: true

module Core
  module Cutting
    # So many equal cuts of one line.
    #
    # @param exact as worked out
    # @param length as cut, rounded up to a length one can measure
    CutNeed = Value.define(:line, :role, :count, :exact, :length, :body, :slack, :consumption, :tails)

    class CutNeed
      # Rounding goes up, never short.
      # @param cuts [Array<Making::Cut>] @param times [Integer]
      # @param off_reel [#call] line => whether it is worked off the reel and cut when done: the reel itself is held, so one of two tails is
      #   saved
      # @return [Array<CutNeed>] equal cuts joined, longest first
      def self.from(cuts, times: 1, off_reel: ->(_line) { false })
        cuts.group_by { |cut| [cut.line, cut.role, cut.length] }.map do |(line, role, _), same|
          cut = off_reel.call(line) ? same.first.off_reel : same.first
          new(line: line, role: role, count: same.sum(&:count) * times, exact: cut.length, length: cut.measured,
            body: cut.body, slack: cut.slack, consumption: cut.consumption, tails: cut.tails)
        end.sort_by { |need| -need.exact }
      end

      # @return [Measure::Length] by which it is longer than worked out
      def rounding
        length - exact
      end

      def total
        length * count
      end
    end
  end
end
