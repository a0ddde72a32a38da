# frozen_string_literal: true

module Core
  module Levers
    # A combination of levers that was simulated.
    #
    # @param met for each run, whether everyone had finished by the end chance
    # @param gain against the class as it is, on the same random numbers
    # @param gain_error see gain
    # @param impossible Impossible or nil
    # @param coefficient of the control variate, see #chance_given
    Trial = Value.define(:levers, :chance, :gain, :gain_error, :met, coefficient: 1.0, impossible: nil) do
      def cost
        levers.sum(&:cost)
      end

      def preparation
        levers.sum(&:preparation)
      end

      def missed
        levers.sum(&:missed)
      end

      # What its own runs say, put right by how far the same runs were off for the class as it is: a control variate with the coefficient
      # that leaves the least variance (S. Lavenberg and P. Welch, Management Science 27(3), 1981).
      # @param truth [Float] chance of the class as it is, from many more runs
      # @return [Float] chance with the levers
      def chance_given(truth)
        (chance - (coefficient * (chance - gain - truth))).clamp(0.0, 1.0)
      end

      # @return [Integer] most people whom one of the changes concerns
      def people
        levers.map(&:people).max || 0
      end
    end

    class Trial
      # @return [Float] covariance of the two by the variance of the second; 0 where either is always the same
      def self.coefficient(met, before)
        now, then_ = [met, before].map { |runs| runs.map { |all| all ? 1.0 : 0.0 } }
        means = [now, then_].map { |values| values.sum / values.size }
        variance = then_.sum { |value| (value - means.last)**2 }
        variance.zero? ? 0.0 : now.zip(then_).sum { |one, other| (one - means.first) * (other - means.last) } / variance
      end
      private_class_method :coefficient

      # @param met [Array<Boolean>] @param before [Array<Boolean>] of the same runs without the levers
      # @return [Trial]
      def self.of(levers, met, before)
        differences = met.zip(before).map { |now, then_| (now ? 1 : 0) - (then_ ? 1 : 0) }
        mean = differences.sum.fdiv(differences.size)
        spread = Math.sqrt(differences.sum { |difference| (difference - mean)**2 } / [differences.size - 1, 1].max)
        new(levers: levers, met: met, coefficient: coefficient(met, before), chance: met.count(true).fdiv(met.size), gain: mean,
          gain_error: spread / Math.sqrt(differences.size))
      end
    end
  end
end
