# frozen_string_literal: true

module Core
  module Session
    class Engine
      # What the people of a run share.
      #
      # @param moments [Integer] by number of a person, and that of the demonstration last
      # @param fatigue Fatigue, nil where nobody tires
      Classroom = Value.define(:model, :moments, :tools, :helpers, :showings, :fatigue)
    end
  end
end
