# frozen_string_literal: true

module Core
  module Technique
    # A skill. level 1..5 · seconds: usual time of an experienced maker for one repeat · prerequisites: technique keys
    # tools: tool keys one maker uses at once, a key twice where both hands need one · demonstration_minutes: shown once to all
    # cautions: keys of Cautions
    Skill = Value.define(:key, :name, :level, :seconds,
                         prerequisites: [].freeze, tools: [].freeze, demonstration_minutes: 0, cautions: [].freeze)

    class Skill
      LEVELS = (1..5).freeze
    end
  end
end
