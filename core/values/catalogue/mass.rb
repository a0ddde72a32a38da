# frozen_string_literal: true

module Core
  module Catalogue
    # What a part weighs: weighed, or by the usual count of seed beads to the gram, or worked out from its shape and material.
    module Mass
      # Grams in a cubic centimetre. Glass, quartz, brass, steel, copper, silver: CRC Handbook of Chemistry and Physics, typical values;
      # aluminium: the same; shell and pearl by calcium carbonate there; the others from memory (gold of 14 carat, plated brass, zinc
      # alloy).
      DENSITIES = {
        'glass' => 2.5,
        'stone' => 2.65,
        'brass' => 8.5,
        'steel' => 7.9,
        'copper' => 8.96,
        'silver' => 10.5,
        'bronze' => 8.8,
        'nickel silver' => 8.7,
        'gold' => 13.1,
        'aluminium' => 2.7,
        'plated' => 8.5,
        'base metal' => 6.6,
        'shell' => 2.71,
        'pearl' => 2.71,
        'wood' => 0.7,
        'horn' => 1.3,
        'resin' => 1.2
      }.freeze
      HOLLOW = %i[ring clasp chain cover crimp connector cap].freeze
      # Bent of one wire: so long, by how far they reach along and across.
      WIRE_PATHS = { hook: ->(along, across) { (along * 2) + across }, arc: ->(along, across) { (along * 2) + across } }.freeze
      # Findings are thin: this much of the space they take is metal (from memory).
      METAL_SHARE = 0.2

      module_function

      # @param line [Line] @param length [Measure::Length] @return [Float, nil] milligrams; nil where its material is not known
      def of_length(line, length)
        density = DENSITIES[line.material] or return
        Math::PI / 4 * (line.thickness.to_mm**2) * length.to_mm * density
      end

      # @param part [Part] @return [Float, nil] milligrams; nil when neither weight nor material is known
      def milligrams(part)
        return part.mass_mg.to_f if part.mass_mg

        seed = Measure::SeedBeads.like(part.along, part.outer) if part.bead?
        return 1000.0 / seed.per_gram if seed&.per_gram

        density = DENSITIES[part.material] or return
        return of_wire(part) * density if part.wire && WIRE_PATHS.key?(part.form)

        volume(part) * density * (HOLLOW.include?(part.form) ? METAL_SHARE : 1)
      end

      # @param part [Part] @return [Float] cubic millimetres of the wire that it is bent of
      def of_wire(part)
        Math::PI / 4 * (part.wire.to_mm**2) * WIRE_PATHS.fetch(part.form).call(part.along.to_mm, part.outer.to_mm)
      end

      # @return [Float] cubic millimetres; a round or oval bead as an ellipsoid, all else as a cylinder, less the hole
      def volume(part)
        along, across, hole = [part.along, part.outer, part.hole].map { |length| length ? length.to_mm : 0.0 }
        body = %i[round oval].include?(part.form) ? Math::PI / 6 * along * (across**2) : Math::PI / 4 * along * (across**2)
        HOLLOW.include?(part.form) ? body : [body - (Math::PI / 4 * along * (hole**2)), 0.0].max
      end
    end
  end
end
