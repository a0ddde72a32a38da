# frozen_string_literal: true

module Core
  module Construction
    # Of a construction with petals of beads on wire: what it asks about one, and how it lies in the drawing.
    module Petals
      def self.included(construction)
        construction.parameter :bead, :part, of: %i[bead]
        construction.parameter :way, :choice, of: WiredPetal::WAYS, default: :continuous
        construction.parameter :petals, :integer, default: 5, range: 1..24
        # Beads in one loop, or on the basic row of a frame.
        construction.parameter :beads, :integer, default: 20, range: 3..120
        # Pairs of rows about a frame's basic row.
        construction.parameter :row_pairs, :integer, default: 2, range: 1..8
        construction.parameter :tip, :choice, of: WiredPetal::TIPS, default: :round
      end

      private

      # @param at [(Float, Float)] millimetres @return [Array<Shape>] the beads of a petal that leaves this place at this angle
      def turned(petal, role, angle, at:)
        petal.places.map do |along, aside|
          x = at[0] + (along * Math.cos(angle)) - (aside * Math.sin(angle))
          y = at[1] + (along * Math.sin(angle)) + (aside * Math.cos(angle))
          part_shape(petal.bead, role, x.clamp(0.0, fixed_length.to_mm), y)
        end
      end
    end
  end
end
