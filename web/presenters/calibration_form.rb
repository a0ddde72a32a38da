# frozen_string_literal: true

module Web
  module Presenters
    # The studio's paces by level, and the minutes around the work.
    class CalibrationForm
      include Fields

      PACE = (0.1..20.0).freeze
      MINUTES = (0..120).freeze
      NUMBER = /\A\d{1,3}([.,]\d{1,3})?\z/
      FIELDS = [*(1..5).map { |level| :"pace_#{level}" }, :welcome_minutes, :clearing_minutes].freeze

      def initialize(params)
        @values = FIELDS.to_h { |name| [name.to_s, clean(params[name.to_s])] }
        @errors = FIELDS.to_h { |name| [name, problem(name)] }.compact
      end

      # @param calibration [Core::Session::Calibration]
      def self.show(calibration)
        paces = calibration.pace.to_h { |level, pace| ["pace_#{level}", format('%g', pace)] }
        new(paces.merge('welcome_minutes' => format('%g', calibration.welcome_minutes), 'clearing_minutes' => format('%g', calibration.clearing_minutes)))
      end

      # @return [Core::Session::Calibration]
      def calibration
        Core::Session::Calibration.new(pace: (1..5).to_h { |level| [level, number(:"pace_#{level}")] },
                                       welcome_minutes: number(:welcome_minutes), clearing_minutes: number(:clearing_minutes))
      end

      private

      def number(name)
        value(name).tr(',', '.').to_f
      end

      def problem(name)
        range = name.to_s.start_with?('pace') ? PACE : MINUTES
        return if value(name).match?(NUMBER) && range.cover?(number(name))

        "Give a number from #{range.begin} to #{range.end}."
      end
    end
  end
end
