# frozen_string_literal: true

module Core
  module Making
    # How long a component came out. beaded: what lies on the path, end to end at its shortest · play: how much it can be let out
    # repeats: times the filling unit was placed, nil for a fixed component · unit: length of one
    # fillers: [Part] that close a gap
    # working: [Making::Term] of operation :part, which add up to beaded
    Lengths = Value.define(:beaded, play: Measure::Length::ZERO, repeats: nil, unit: nil, fillers: [].freeze,
      working: [].freeze)
  end
end
