# frozen_string_literal: true

module Core
  module Measure
    # How wide n equal round lines are side by side in one round bundle, in line thicknesses: the smallest enclosing circle.
    # Graham, Lubachevsky, Nurmela, Östergård, "Dense packings of congruent circles in a circle", Discrete Mathematics 181 (1998).
    module Bundle
      RATIOS = {
        1 => 1.0,
        2 => 2.0,
        3 => 2.1547,
        4 => 2.4142,
        5 => 2.7013,
        6 => 3.0,
        7 => 3.0,
        8 => 3.3048,
        9 => 3.6131,
        10 => 3.8130
      }.freeze

      module_function

      # @param lines [Integer] 1 or more; beyond the table, equal area at the table's last density
      # @return [Float]
      def ratio(lines)
        RATIOS.fetch(lines) { RATIOS[10] * Math.sqrt(lines / 10.0) }
      end
    end
  end
end
