# frozen_string_literal: true

module Web
  module Presenters
    # The studio's paces by level, and the minutes around the work.
    class CalibrationForm
      include Fields

      PACE = (0.1..20.0).freeze
      MINUTES = (0..120).freeze
      NUMBER = /\A\d{1,3}([.,]\d{1,3})?\z/
      # Beside the paces, each with its range and what it is called.
      OTHERS = {
        welcome_minutes: [MINUTES, 'Welcome and set-up, minutes'],
        clearing_minutes: [MINUTES, 'Clearing up, minutes'],
        quick: [0.1..1.0, 'Quickest time of a step, of its usual one'],
        slow: [1.0..10.0, 'Slowest time of a step, of its usual one'],
        between: [0.0..1.0, 'How much people of one level differ (0.15 is 15 %)'],
        learning: [0.5..1.0, 'Learning rate: time falls to this share at each doubling'],
        help: [0.0..1.0, 'Chance of a call for help where all is new'],
        help_minutes: [0.1..60.0, 'One visit of yours, minutes']
      }.freeze
      FIELDS = [*(1..5).map { |level| :"pace_#{level}" }, *OTHERS.keys].freeze

      # @param before [Core::Session::Calibration] what stands where nothing was sent
      def initialize(params, before)
        @values = FIELDS.to_h { |name| [name.to_s, params.key?(name.to_s) ? clean(params[name.to_s]) : CalibrationForm.text(before, name)] }
        @errors = FIELDS.to_h { |name| [name, problem(name)] }.compact
      end

      # @param calibration [Core::Session::Calibration]
      def self.show(calibration)
        new({}, calibration)
      end

      def self.text(calibration, name)
        format('%g', OTHERS.key?(name) ? calibration.public_send(name) : calibration.pace.fetch(name.to_s.delete_prefix('pace_').to_i))
      end

      # @return [Hash{Symbol=>String}] fields beside the paces, with their labels
      def others
        OTHERS.transform_values(&:last)
      end

      # @return [Core::Session::Calibration]
      def calibration
        Core::Session::Calibration.new(pace: (1..5).to_h { |level| [level, number(:"pace_#{level}")] },
                                       **OTHERS.keys.to_h { |name| [name, number(name)] })
      end

      private

      def number(name)
        value(name).tr(',', '.').to_f
      end

      def problem(name)
        range = name.to_s.start_with?('pace') ? PACE : OTHERS.fetch(name).first
        return if value(name).match?(NUMBER) && range.cover?(number(name))

        "Give a number from #{range.begin} to #{range.end}."
      end
    end
  end
end
