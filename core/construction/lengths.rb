# frozen_string_literal: true

module Core
  module Construction
    # beaded: what lies on the path, end to end at its shortest · play: how much it can be let out
    # repeats: times the filling unit was placed · options: other lengths within reach, best first
    Lengths = Value.define(:beaded, play: Measure::Length::ZERO, repeats: nil, unit: nil, fixed: nil, options: [].freeze, fillers: [].freeze)
  end
end
