# frozen_string_literal: true

module Core
  module Materials
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
        at_most.bsearch_index { |sum| sum >= confidence } || (at_most.size - 1)
      end

      # A spare can be lost as well: the fewest s so that of all uses and s more, with this confidence, no more than s are lost.
      # The s more are used by those who lose, so each is lost with the mean probability of what is lost.
      # @return [Integer]
      def spares(confidence)
        return 0 if @uses.empty?

        (quantile(confidence)..).find { |number| lasts(number) >= confidence }
      end

      # @param number [Integer] of spares
      # @return [Float] chance that of the uses and these spares no more are lost than there are spares
      def lasts(number)
        return 1.0 if @uses.empty?

        (@lasts ||= {})[number] ||= enough(number, Losses.binomial(number, mean_probability))
      end

      # @return [Array<Float>] chance of losing 0, 1, 2 ...
      def distribution
        @distribution ||= @uses.map { |probability, count| Losses.binomial(count, probability) }.reduce { |a, b| convolve(a, b) } || [1.0]
      end

      # Each chance from the one before: P(k + 1) = P(k) · (n - k) / (k + 1) · p / (1 - p), begun where nothing underflows.
      # @return [Array<Float>] binomial chances from 0 up to where they no longer matter
      def self.binomial(count, probability)
        odds = probability / (1 - probability)
        mode = (count * probability).floor
        chance = (1 - probability)**count
        chances = [chance]
        (1..count).each do |k|
          chance = chance < Float::MIN ? at(k, count, probability) : chance * (count - k + 1) / k * odds
          chances << chance
          break if k > mode && chance < NEGLIGIBLE
        end
        chances
      end

      # In logarithms: the chance of losing nothing of very many is smaller than a float can hold.
      def self.at(lost, count, probability)
        ways = Math.lgamma(count + 1).first - Math.lgamma(lost + 1).first - Math.lgamma(count - lost + 1).first
        Math.exp(ways + (lost * Math.log(probability)) + ((count - lost) * Math.log(1 - probability)))
      end
      private_class_method :at

      private

      # Of what is lost.
      def mean_probability
        @mean_probability ||= @uses.sum { |chance, count| chance * chance * count } / @uses.sum { |chance, count| chance * count }
      end

      # @param of_spares [Array<Float>] chances of losing 0, 1, 2 ... of so many spares
      # @return [Float] chance that of the uses and these spares no more are lost than there are spares
      def enough(number, of_spares)
        last = at_most.size - 1
        (0..number).sum do |lost|
          left = number - lost
          of_spares.fetch(lost, 0.0) * at_most[left < last ? left : last]
        end
      end

      # @return [Array<Float>] chance of losing at most 0, 1, 2 ...
      def at_most
        @at_most ||= distribution.each_with_object([]) { |chance, sums| sums << ((sums.last || 0.0) + chance) }
      end

      def convolve(first, second)
        sums = Array.new(first.size + second.size - 1, 0.0)
        first.each_with_index do |a, i|
          j = -1
          while (b = second[j += 1])
            sums[i + j] += a * b
          end
        end
        sums.pop while sums.last < NEGLIGIBLE
        sums
      end
    end
  end
end
