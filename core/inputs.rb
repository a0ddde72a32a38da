# frozen_string_literal: true

module Core
  # All that a plan depends on.
  Inputs = Value.define(:workshop, :design, :attendees, :table, calibration: Session::Calibration.new, open_rings: :warn) do
    # @return [Plan]
    def plan
      Plan.for(**to_h)
    end
  end
end
