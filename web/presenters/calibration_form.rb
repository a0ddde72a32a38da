# frozen_string_literal: true

module Web
  module Presenters
    # The studio's paces by level, and the minutes around the work.
    class CalibrationForm < Form
      # Beside the paces, what each is called.
      OTHERS = {
        welcome_minutes: 'Welcome and set-up, minutes',
        clearing_minutes: 'Clearing up, minutes',
        quick: 'Quickest time of a step, of its usual one',
        slow: 'Slowest time of a step, of its usual one',
        between: 'How much people of one level differ (0.15 is 15 %)',
        evening: 'How much one evening differs from another (0.1 is 10 %)',
        doubt: 'How far a technique’s time may be off (0.2 is 20 %)',
        learning: 'Learning rate: time falls to this share at each doubling',
        help: 'Chance of a call for help where all is new',
        help_minutes: 'One visit of yours, minutes',
        assistant_pace: 'A visit of an assistant, against yours',
        put_down: 'Until you put your own piece down, minutes',
        neighbours: 'Share of calls that a neighbour answers (0.15 is 15 %)',
        walking_minutes: 'To fetch a shared tool, minutes',
        fatigue: 'How much slower tired people are (0.08 is 8 %)',
        tires_after: 'People tire after so many minutes without a break'
      }.freeze
      FIELDS = Contracts::CalibrationContract::RANGES.keys

      # @param before [Core::Setup::Calibration] what stands where nothing was sent
      def initialize(params, before)
        @before = before
        shown = FIELDS.to_h { |name| [name.to_s, CalibrationForm.text(before, name)] }
        super(shown.merge(typed(params, FIELDS.select { |name| params.key?(name.to_s) })), Contracts::CalibrationContract.new)
      end

      # @param calibration [Core::Setup::Calibration]
      def self.show(calibration)
        new({}, calibration)
      end

      def self.text(calibration, name)
        format('%g', OTHERS.key?(name) ? calibration.public_send(name) : calibration.pace.fetch(name.to_s.delete_prefix('pace_').to_i))
      end

      # @return [Hash{Symbol=>String}] fields beside the paces, with their labels
      def others
        OTHERS
      end

      # @return [Core::Setup::Calibration]
      def calibration
        @before.with(pace: (1..5).to_h { |level| [level, number(:"pace_#{level}")] }, **OTHERS.keys.to_h { |name| [name, number(name)] })
      end

      private

      def number(name)
        value(name).tr(',', '.').to_f
      end
    end
  end
end
