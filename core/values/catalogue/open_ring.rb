# frozen_string_literal: true

module Core
  module Catalogue
    # What a ring or eye with a gap bears before it opens. The pull runs through its middle, so its closed side is bent by the load
    # times the radius; it opens for good where that is the plastic moment of a round bar, yield × d³ / 6 (Roark's Formulas for Stress and
    # Strain, shape factors of a circle).
    module OpenRing
      # Yield of soft wire in N/mm² (from memory); hard wire bears more.
      YIELDS = { 'steel' => 250, 'brass' => 150, 'bronze' => 150, 'silver' => 100, 'copper' => 70 }.freeze
      # Of a metal that is not known.
      USUAL_YIELD = 100
      GRAMS_IN_A_NEWTON = 1000 / 9.81

      module_function

      # @param wire [Measure::Length] its thickness @param inside [Measure::Length] its inside diameter @param material [String, nil]
      # @return [Float] grams
      def grams(wire, inside, material)
        radius = (inside + wire).to_mm / 2
        YIELDS.fetch(material, USUAL_YIELD) * (wire.to_mm**3) / (6 * radius) * GRAMS_IN_A_NEWTON
      end
    end
  end
end
