# frozen_string_literal: true

module Core
  module Sizing
    # What the body and the beads add to a measure.
    module Allowance
      module_function

      # The line runs on a circle whose radius is larger than the body's by the height of the hole axis:
      # L = C + 2πh, and C + πd for round beads drilled through the middle (circle geometry).
      # @return [Measure::Length] what the height adds for one turn round the body
      def for_height(height)
        height * (2 * Math::PI)
      end
    end
  end
end
