# frozen_string_literal: true

module Core
  module Making
    # An eye that a wire is bent to, as it is when its step is done.
    #
    # @param thickness [Measure::Length] of the wire @param inside [Measure::Length] of the eye
    # @param rounds [Integer] of the eye itself @param wraps [Integer] round the stem below it, none for a simple eye
    # @param beside [Catalogue::Part, nil] the bead that the stem stands on, nil where it is still bare
    # @param through [Boolean] whether the stem runs on through that bead
    WireEye = Value.define(:thickness, :inside, rounds: 1, wraps: 0, beside: nil, through: true)
  end
end
