# frozen_string_literal: true

module Core
  module People
    # Someone who takes part.
    #
    # @param measures {wrist: Length, ...}, what is known
    # @param level 1 to 5
    # @param ease nil takes the project's
    # @param needs Needs
    # @param notes in the instructor's words
    # @param colourway nil takes the project's own parts
    # @param brings tool keys they bring along
    # @param tails :lean, :usual or :generous; nil takes the line's or the project's
    # @param experience {technique key => Experience}
    # @param swatches [Catalogue::Swatch] of their own work
    Attendee = Value.define(:key, :name, :level, measures: {}.freeze, ease: nil, needs: Needs.new, notes: '', colourway: nil,
      brings: [].freeze, tails: nil, experience: {}.freeze, swatches: [].freeze) do
      prepend Catalogue::Keyed

      # @return [Array<Symbol>] some of Needs::FLAGS
      def flags
        needs.flags
      end

      def left_handed?
        needs.left_handed
      end
    end
  end
end
