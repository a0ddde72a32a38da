# frozen_string_literal: true

module Core
  module People
    # What someone has done of one technique. times: how often · last: Date, nil when not known
    Experience = Value.define(:times, last: nil)

    class Experience
      TIMES = (0..999).freeze
    end
  end
end
