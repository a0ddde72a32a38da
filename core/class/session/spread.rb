# frozen_string_literal: true

module Core
  module Session
    # How step times spread: three-point estimates, and the lognormal distribution that has their mean and deviation.
    module Spread
      # Standard normal quantile of 0.9: eight of ten lie between minus and plus this many deviations.
      EIGHT_OF_TEN = 1.2816

      # Random numbers have this many values; a table has one place for each COARSE of them.
      STEPS = 65_536
      COARSE = 16
      PLACES = STEPS / COARSE

      module_function

      # Mean and standard deviation of a three-point estimate: (a + 4m + b) / 6 and (b - a) / 6
      # (PERT; Malcolm, Roseboom, Clark and Fazar, Operations Research 7(5), 1959).
      # @return [Array(Float, Float)]
      def pert(quick, usual, slow)
        [(quick + (4.0 * usual) + slow) / 6, (slow - quick) / 6.0]
      end

      # @param mean [Float] @param deviation [Float] @return [Float] sigma of the lognormal with this coefficient of variation
      def sigma(mean, deviation)
        Math.sqrt(Math.log(1 + ((deviation / mean)**2)))
      end

      # Multipliers with mean 1: the inverse distribution function in the middle of each place.
      # @return [Array<Float>]
      def table(sigma)
        return [1.0] * PLACES if sigma.zero?

        TABLES_LOCK.synchronize { TABLES[sigma.round(6)] ||= multipliers(sigma).freeze }
      end

      # @return [Float] how often the multiplier is more than this
      def share_above(sigma, luck)
        below = table(sigma).bsearch_index { |value| value > luck } || PLACES
        1 - below.fdiv(PLACES)
      end

      # @return [Float, nil] mean of the multipliers above this, nil where there are none
      def mean_above(sigma, luck)
        from = table(sigma).bsearch_index { |value| value > luck }
        from && (table(sigma).last(PLACES - from).sum / (PLACES - from))
      end

      def multipliers(sigma)
        raw = (0...PLACES).map { |i| Math.exp(sigma * normal((i + 0.5) / PLACES)) }
        mean = raw.sum / PLACES
        raw.map { |value| value / mean }
      end

      # Inverse of the standard normal distribution: Acklam's rational approximation as a start, one step of Halley's method
      # with the complementary error function makes it exact to machine precision.
      def normal(probability)
        x = rough(probability)
        error = (0.5 * Math.erfc(-x / Math.sqrt(2))) - probability
        step = error * Math.sqrt(2 * Math::PI) * Math.exp(x * x / 2)
        x - (step / (1 + (x * step / 2)))
      end

      A = [-3.969683028665376e+01,
           2.209460984245205e+02,
           -2.759285104469687e+02,
           1.383577518672690e+02,
           -3.066479806614716e+01,
           2.506628277459239e+00].freeze
      B = [-5.447609879822406e+01, 1.615858368580409e+02, -1.556989798598866e+02, 6.680131188771972e+01, -1.328068155288572e+01, 1.0].freeze
      C = [-7.784894002430293e-03,
           -3.223964580411365e-01,
           -2.400758277161838e+00,
           -2.549732539343734e+00,
           4.374664141464968e+00,
           2.938163982698783e+00].freeze
      D = [7.784695709041462e-03, 3.224671290700398e-01, 2.445134137142996e+00, 3.754408661907416e+00, 1.0].freeze
      LOW = 0.02425
      TABLES = {} # rubocop:disable Style/MutableConstant
      TABLES_LOCK = Mutex.new

      def rough(probability)
        return -rough(1 - probability) if probability > 0.5

        if probability < LOW
          q = Math.sqrt(-2 * Math.log(probability))
          return horner(C, q) / horner(D, q)
        end
        q = probability - 0.5
        horner(A, q * q) * q / horner(B, q * q)
      end

      def horner(coefficients, x)
        coefficients.reduce { |sum, coefficient| (sum * x) + coefficient }
      end
      private_class_method :multipliers, :rough, :horner
    end
  end
end
