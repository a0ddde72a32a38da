# frozen_string_literal: true

module Core
  module Session
    # What turns an experienced maker's times into a class's. All values from memory until a logbook replaces them.
    # pace: {level => factor} · welcome, clearing: minutes
    Calibration = Value.define(pace: { 1 => 2.2, 2 => 1.6, 3 => 1.25, 4 => 1.0, 5 => 0.8 }.freeze, welcome_minutes: 10, clearing_minutes: 10)
  end
end
