# frozen_string_literal: true

module Core
  module Making
    # How a component grows: base with no repeats, step more for each repeat (both sides counted when mirrored).
    # height: hole axis above the skin that the line keeps · fewest and most: bounds on repeats, both inclusive
    # centre: the piece in the middle, which may alone be too wide
    # filler: [Filler, nil] small parts that close the remaining gap
    Fill = Value.define(:base, :step, :height, fewest: 1, most: 1000, filler: nil, centre: Measure::Length::ZERO)
  end
end
