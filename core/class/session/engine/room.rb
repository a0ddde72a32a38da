# frozen_string_literal: true

module Core
  module Session
    class Engine
      # What the people of a run share. moments: [Integer] by number of a person, and that of the demonstration last
      # fatigue: Fatigue, nil where nobody tires
      Room = Value.define(:model, :moments, :tools, :helpers, :showings, :fatigue)
    end
  end
end
