# frozen_string_literal: true

require 'matrix'

module Core
  module Sampling
    # What is known of a design's assumptions: factors about 1 with their covariance. Readings are taken in by weighted least squares with
    # the defaults as priors: precision Λ = P⁻¹ + Σ j jᵀ/σ², mean Λ⁻¹ Σ j (y − e)/σ² (the linear Gaussian model; C. M. Bishop, Pattern
    # Recognition and Machine Learning, 2006, section 3.3).
    #
    # @param names of the assumptions, in order
    # @param mean [Vector] factors − 1
    # @param covariance [Matrix]
    Belief = Value.define(:names, :mean, :covariance)

    class Belief
      # @param spreads {assumption => standard deviation before anything was measured} @return [Belief]
      def self.before(spreads)
        new(names: spreads.keys, mean: Vector.zero(spreads.size),
          covariance: Matrix.diagonal(*spreads.values.map { |spread| spread.to_f**2 }))
      end

      # @param readings [Array<(Expectation, Float)>] with what was read @return [Belief]
      def after(readings)
        before = covariance.inverse
        precision, weighted = readings.reduce([before, before * mean]) do |(sum, right), (expectation, read)|
          row = row_of(expectation)
          weight = 1 / (expectation.noise**2)
          [sum + (row.covector.transpose * row.covector * weight), right + (row * ((read - expectation.expected) * weight))]
        end
        known = precision.inverse
        with(mean: known * weighted, covariance: known)
      end

      # @return [Float] the factor that is most likely
      def factor(name)
        1 + mean[names.index(name)]
      end

      # @return [Float] standard deviation of a factor
      def spread(name)
        place = names.index(name)
        Math.sqrt(covariance[place, place])
      end

      # @return [(Float, Float)] within which a factor lies in 80 of 100 cases
      def range(name)
        reach = Session::Spread::EIGHT_OF_TEN * spread(name)
        [factor(name) - reach, factor(name) + reach]
      end

      # @param expectation [Expectation] @return [Float] what it tells of it now
      def told(expectation)
        expectation.expected + row_of(expectation).inner_product(mean)
      end

      # @return [Float] standard deviation of what will be, without the noise of reading it
      def doubt(expectation)
        row = row_of(expectation)
        Math.sqrt(row.inner_product(covariance * row))
      end

      # @return [Float] how many standard deviations a reading is from what was expected of it
      def surprise(expectation, read)
        (read - told(expectation)) / Math.hypot(doubt(expectation), expectation.noise)
      end

      private

      def row_of(expectation)
        Vector.elements(names.map { |name| expectation.shares.fetch(name, 0.0) })
      end
    end
  end
end
