# frozen_string_literal: true

module Core
  module Cutting
    # So many equal cuts of one line. exact: as worked out · length: as cut, rounded up to a length one can measure
    CutNeed = Value.define(:line, :role, :count, :exact, :length, :body, :consumption, :tails)

    class CutNeed
      # Nobody measures a cut closer than this; rounding goes up, never short.
      STEP = Measure::Length.mm(5)

      # @param cuts [Array<Construction::Cut>] @param times [Integer]
      # @param off_reel [Boolean] worked off the reel and cut when done: the reel itself is held, so one of two tails is saved
      # @return [Array<CutNeed>] equal cuts joined, longest first
      def self.from(cuts, times: 1, off_reel: false)
        cuts.group_by { |cut| [cut.line, cut.role, cut.length] }.map do |(line, role, _), same|
          cut = same.first
          tails = off_reel ? cut.tails / 2 : cut.tails
          exact = cut.body + cut.consumption + tails
          new(line: line, role: role, count: same.sum(&:count) * times, exact: exact, length: STEP * (exact / STEP).ceil,
            body: cut.body, consumption: cut.consumption, tails: tails)
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
