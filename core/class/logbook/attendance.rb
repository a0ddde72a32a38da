# frozen_string_literal: true

module Core
  module Logbook
    # Who had signed up and came, and how late classes began.
    #
    # @param signed_up people in all classes
    # @param came how many of them
    # @param late minutes from the planned start to when the class began in Live, of each class of which it is known, least first
    Attendance = Value.define(:signed_up, :came, :late)

    class Attendance
      # With fewer people nothing is said.
      LEAST = 20

      # @param held [Array<HeldClass>] @return [Attendance]
      def self.of(held)
        known = held.select { |one| one.signed_up.positive? }
        new(signed_up: known.sum(&:signed_up), came: known.sum(&:people), late: held.filter_map(&:late).sort)
      end

      def enough?
        signed_up >= LEAST
      end

      # @return [Integer]
      def missing
        signed_up - came
      end

      # @return [(Float, Float)] within which the share of those who do not come lies
      def range
        ShareRange.of(missing, signed_up)
      end

      # @return [Float, nil] minutes, in the middle of all
      def usual_delay
        Session::Quantile.of(late, 0.5) if late.any?
      end
    end
  end
end
