# frozen_string_literal: true

module Core
  module Bill
    # How many of a number of uses are lost: a sum of binomials, one for each probability.
    class Losses
      # What is left out of the far tail.
      NEGLIGIBLE = 1e-12

      # @param uses [Hash{Float=>Integer}] probability of losing one => number of uses
      def initialize(uses)
        @uses = uses.reject { |probability, count| count.zero? || probability.zero? }
      end

      # @param confidence [Float] between 0 and 1, both exclusive
      # @return [Integer] the fewest spares so that, with this confidence, no more are lost than there are
      def quantile(confidence)
        sum = 0.0
        distribution.each_with_index do |chance, lost|
          sum += chance
          return lost if sum >= confidence
        end
        distribution.size - 1
      end

      # @return [Array<Float>] chance of losing 0, 1, 2 ...
      def distribution
        @distribution ||= @uses.map { |probability, count| Losses.binomial(count, probability) }.reduce([1.0]) { |a, b| convolve(a, b) }
      end

      # In logarithms, since the chance of losing nothing of many underflows.
      # @return [Array<Float>] binomial chances from 0 up to where they no longer matter
      def self.binomial(count, probability)
        log_all = Math.lgamma(count + 1).first
        mode = (count * probability).floor
        chances = []
        (0..count).each do |k|
          log = log_all - Math.lgamma(k + 1).first - Math.lgamma(count - k + 1).first + (k * Math.log(probability)) + ((count - k) * Math.log(1 - probability))
          chances << Math.exp(log)
          break if k > mode && chances.last < NEGLIGIBLE
        end
        chances
      end

      private

      def convolve(first, second)
        sums = Array.new(first.size + second.size - 1, 0.0)
        first.each_with_index { |a, i| second.each_with_index { |b, j| sums[i + j] += a * b } }
        sums
      end
    end
  end
end
