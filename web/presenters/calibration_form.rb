# frozen_string_literal: true

module Web
  module Presenters
    # The studio's paces by level, and the minutes around the work.
    class CalibrationForm < SettingsForm
      CALIBRATION = Core::Setup::Calibration
      PACES = Contracts::CalibrationContract::PACES

      # @param before [Core::Setup::Calibration] what stands where nothing was sent
      def initialize(params, before)
        @before = before
        super({ **shown, **params.to_h.select { |_, typed| typed.is_a?(String) } }, CALIBRATION, Contracts::CalibrationContract.new)
      end

      # @param calibration [Core::Setup::Calibration]
      def self.show(calibration)
        new({}, calibration)
      end

      # @return [Hash{Symbol=>String}] fields beside the paces, with their labels
      def others
        CALIBRATION.shown(:calibration).to_h { |name| [name, Formats::Wording.say("settings.calibration.#{name}")] }
      end

      # @return [Core::Setup::Calibration]
      def calibration
        @before.with(**changes, pace: PACES.to_h { |name, level| [level, pace.read(value(name))] })
      end

      private

      # @return [Hash{String=>String}] what stands now, as it would be typed
      def shown
        { **CALIBRATION.shown(:calibration).to_h { |name|
          [name.to_s, Contracts::TypedField.new(CALIBRATION.field(name), nil).show(@before.public_send(name))]
        }, **PACES.to_h { |name, level| [name.to_s, pace.show(@before.pace.fetch(level))] } }
      end

      def pace
        Contracts::TypedField.new(CALIBRATION.field(:pace).each, nil)
      end
    end
  end
end
