# frozen_string_literal: true

module Core
  module Session
    # A combination of levers that was simulated. met: for each run, whether everybody had finished by the end
    # chance · gain, gain_error: against the class as it is, on the same random numbers · impossible: Impossible or nil
    Trial = Value.define(:levers, :chance, :gain, :gain_error, :met, impossible: nil) do
      def cost
        levers.sum(&:cost)
      end

      def preparation
        levers.sum(&:preparation)
      end

      def missed
        levers.sum(&:missed)
      end

      # @return [Integer] most people whom one of the changes concerns
      def people
        levers.map(&:people).max || 0
      end
    end

    class Trial
      # @param met [Array<Boolean>] @param before [Array<Boolean>] of the same runs without the levers
      # @return [Trial]
      def self.of(levers, met, before)
        differences = met.zip(before).map { |now, then_| (now ? 1 : 0) - (then_ ? 1 : 0) }
        mean = differences.sum.fdiv(differences.size)
        spread = Math.sqrt(differences.sum { |difference| (difference - mean)**2 } / [differences.size - 1, 1].max)
        new(levers: levers, met: met, chance: met.count(true).fdiv(met.size), gain: mean, gain_error: spread / Math.sqrt(differences.size))
      end
    end
  end
end
