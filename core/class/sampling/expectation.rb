# frozen_string_literal: true

module Core
  module Sampling
    # What a design says of a sample before it is made, and how each of its assumptions bears on that: for factors near 1,
    # told = expected + Σ share × (factor − 1).
    #
    # @param what :length, :used, :grams or :minutes
    # @param expected in millimetres, grams or minutes
    # @param shares {assumption => change for a factor of 2}
    # @param noise standard deviation of what a ruler, scale or clock says of it
    Expectation = Value.define(:what, :expected, :shares, :noise)

    class Expectation
      # What a reading may be off by: so much, and such a share of it (from memory: a ruler and a hand that lays work on it; the same of a
      # line that is pulled straight; a kitchen scale of 0.1 g; a watch, and how one hand varies from one day to another).
      NOISE = { length: [1.0, 0.005], used: [3.0, 0.01], grams: [0.05, 0.01], minutes: [0.5, 0.08] }.freeze

      # @return [Expectation]
      def self.of(what, expected, shares)
        fixed, share = NOISE.fetch(what)
        new(what: what, expected: expected, shares: shares, noise: Math.hypot(fixed, share * expected))
      end
    end
  end
end
