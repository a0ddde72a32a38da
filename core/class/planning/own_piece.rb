# frozen_string_literal: true

module Core
  module Planning
    # What one attendee makes, before anything is said of how it is taught.
    #
    # @param piece Sizing::Piece or Making::OutOfReach
    # @param body the measure sized by
    # @param measure what the size asked for was built from
    # @param ease see measure
    # @param assumed whether they were not measured and are planned at an assumed size
    # @param needs [Materials::Need]
    # @param cuts [Cutting::CutNeed]
    # @param findings [Fit::Result], worst first
    OwnPiece = Value.define(:attendee, :body, :piece, :measure, :ease, assumed: false, needs: [].freeze, cuts: [].freeze,
      findings: [].freeze) do
      def fitted?
        piece.is_a?(Sizing::Piece)
      end

      # @return [Integer] in all that one person makes
      def bead_count
        needs.sum { |need| need.part.bead? ? need.count : 0 }
      end
    end
  end
end
