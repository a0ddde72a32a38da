# frozen_string_literal: true

module Core
  module Planning
    # All that a plan depends on.
    Inputs = Value.define(:workshop, :design, :attendees, :table, calibration: Setup::Calibration.new, open_rings: :warn) do
      # @param fittings [Planning::Fittings] pieces of the same design and table that were fitted before
      # @return [Plan]
      def plan(fittings = Fittings.new(design, table))
        planner(fittings).plan
      end

      # @return [Planner] for plans of the same class with other choices
      def planner(fittings = Fittings.new(design, table))
        Planner.new(workshop, design, attendees, table, calibration, open_rings, fittings)
      end
    end
  end
end
