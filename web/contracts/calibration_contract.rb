# frozen_string_literal: true

module Web
  module Contracts
    # The studio's paces and what else the clock goes by.
    class CalibrationContract < Contract
      CALIBRATION = Core::Setup::Calibration
      # Field => level
      PACES = (1..5).to_h { |level| [:"pace_#{level}", level] }.freeze

      judges CALIBRATION, also: PACES.transform_values { CALIBRATION.field(:pace).each }
    end
  end
end
