# frozen_string_literal: true

module Core
  # All that a plan depends on.
  Inputs = Value.define(:workshop, :design, :attendees, :table, calibration: Session::Calibration.new, open_rings: :warn) do
    # @return [Plan]
    def plan
      Plan.for(**to_h)
    end

    # @return [Planner] for plans of the same class with other choices
    def planner
      Planner.new(workshop, design, attendees, table, calibration, open_rings)
    end
  end
end
