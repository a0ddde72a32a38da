# frozen_string_literal: true

module Core
  module Making
    # What samples showed of one component, as factors on what its design works out.
    #
    # @param component key
    # @param size of a repeat: the beads of this lot, or how tight it is worked
    # @param take of line beyond what lies under beads: knots, turns, the way of a thread
    # @param weight of its beads
    # @param pace of the minutes
    Measured = Value.define(:component, size: 1.0, take: 1.0, weight: 1.0, pace: 1.0)
  end
end
