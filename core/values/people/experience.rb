# frozen_string_literal: true

module Core
  module People
    # What someone has done of one technique.
    #
    # @param times how often
    # @param last Date, nil when not known
    Experience = Value.define(:times, last: nil)

    class Experience
      TIMES = (0..999).freeze
    end
  end
end
