# frozen_string_literal: true

module Web
  module Contracts
    # The studio's paces and what else the clock goes by.
    class CalibrationContract < Contract
      RANGES = {
        **(1..5).to_h { |level| [:"pace_#{level}", 0.1..20.0] },
        welcome_minutes: 0..120,
        clearing_minutes: 0..120,
        quick: 0.1..1.0,
        slow: 1.0..10.0,
        between: 0.0..1.0,
        evening: 0.0..1.0,
        doubt: 0.0..1.0,
        learning: 0.5..1.0,
        help: 0.0..1.0,
        help_minutes: 0.1..60.0,
        assistant_pace: 0.5..5.0,
        put_down: 0.0..10.0,
        neighbours: 0.0..1.0,
        walking_minutes: 0.0..10.0,
        fatigue: 0.0..1.0,
        tires_after: 1..720
      }.freeze

      texts(*RANGES.keys)

      RANGES.each { |name, range| rule(name).validate(decimal: range) }
    end
  end
end
