# frozen_string_literal: true

module Core
  module Making
    # How long a component came out.
    #
    # @param beaded what lies on the path, end to end at its shortest
    # @param play how much it can be let out
    # @param shorter how much shorter it can be worn than it is made, by a clasp that takes any link of a chain
    # @param repeats times the filling unit was placed, nil for a fixed component
    # @param unit length of one
    # @param fillers [Part] that close a gap
    # @param addable [Part] beads of its own that can be added at both ends
    # @param working [Making::Term] of operation :part, which add up to beaded
    Lengths = Value.define(:beaded, play: Measure::Length::ZERO, shorter: Measure::Length::ZERO, repeats: nil, unit: nil,
      fillers: [].freeze, addable: [].freeze, working: [].freeze)
  end
end
