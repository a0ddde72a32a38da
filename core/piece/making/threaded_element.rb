# frozen_string_literal: true

module Core
  module Making
    # One thing on the line, in the order in which it lies there.
    #
    # @param along the line it takes
    # @param height the line above the skin where it lies on it
    # @param width across the skin, as far as one turn of several keeps from the next
    # @param profile how it meets its neighbours when the line bends. :round, as a ball does; :flat, by the edge of its face; :pointed, at
    #   the hole, as what tapers or hangs in loops does; :bare, line or chain that bends by itself
    ThreadedElement = Value.define(:along, :height, :width, :profile)

    class ThreadedElement
      # Kinds that hang in one another.
      LINKING = %i[ring split_ring connector clasp ear_wire ear_post hook].freeze
      BENDING = %i[chain extender].freeze
      PROFILES = { round: :round, rounded: :round, oval: :round, drop: :round, petal: :round, cover: :round, bicone: :pointed }.freeze

      # @param part [Catalogue::Part] @param along [Measure::Length] what of it lies on the line
      def self.of(part, along: part.along)
        return bare(along, part.outer) if BENDING.include?(part.kind)

        new(along: along, height: height(part), width: part.outer,
          profile: LINKING.include?(part.kind) ? :pointed : PROFILES.fetch(part.form, :flat))
      end

      # @param thickness [Measure::Length] of the line, or of all lines together
      def self.bare(along, thickness)
        new(along: along, height: thickness / 2, width: thickness, profile: :bare)
      end

      # What hangs in its neighbours lies flat on the skin: a ring on half of its wire, others on a quarter of their width (from memory).
      def self.height(part)
        return part.height_above_skin if part.hole_height || part.lines > 1 || !LINKING.include?(part.kind)

        Catalogue::Part::RINGS.include?(part.kind) && part.hole ? (part.outer - part.hole) / 4 : part.outer / 4
      end
      private_class_method :height

      def bare?
        profile == :bare
      end
    end
  end
end
