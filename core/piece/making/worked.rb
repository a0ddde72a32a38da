# frozen_string_literal: true

module Core
  module Making
    # How a cut is used up little by little, so that what is left of it can be held against what is still to be worked.
    #
    # @param step its key @param unit :flower, :bead, :leaf or :row
    # @param number of units in all @param ends of the cut that are worked with: both, where it is folded in its middle
    Worked = Value.define(:step, :unit, :number, ends: 1)
  end
end
