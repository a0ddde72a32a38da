# frozen_string_literal: true

module Formats
  # Does it reach? The answer in words.
  module ReachWords
    # @param found [Core::Making::Reach] @param unit [Symbol] of lengths @param units [String] what is worked, such as "flowers"
    # @return [String]
    def self.verdict(found, unit, units: Wording.say('reach_answers.any_units'))
      return Wording.say('reach_answers.more_than_cut', unit: unit, start: found.start) unless found.possible?

      Wording.say("reach_answers.#{found.reaches? ? 'reaches' : 'short'}", unit: unit, units: units, more: found.more, rest: found.to_do,
        difference: found.difference, place: found.done + found.more)
    end
  end
end
