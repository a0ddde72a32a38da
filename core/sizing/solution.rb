# frozen_string_literal: true

module Core
  module Sizing
    # One way to meet a target with whole units. deviation: made length minus target, negative when short.
    # options: the other ways within reach, best first, each a Solution without options of its own
    Solution = Value.define(:repeats, :fillers, :length, :deviation, :target, options: [].freeze)
  end
end
