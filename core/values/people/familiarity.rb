# frozen_string_literal: true

module Core
  module People
    # How well someone knows a technique, 0 to 1: what their level lets expect, and what they have done, which fades.
    # All values from memory until a logbook replaces them.
    module Familiarity
      # From here on it needs no practice first.
      KNOWN = 0.5
      # From here on they can help a neighbour.
      SURE = 0.75
      # What a level lets expect of a technique, by how many levels it lies above it: below these nothing, above these all.
      EXPECTED = { -1 => 0.0, 0 => 0.5, 1 => 1.0 }.freeze
      # Half of what was practised is gone after so many days.
      HALF_LIFE_DAYS = 540.0
      # Doing it so many times, lately, makes two thirds of a master.
      TIMES = 3.0

      module_function

      # @param attendee [People::Attendee] @param technique [Technique] @param on [Date]
      # @return [Float]
      def of(attendee, technique, on)
        expected = EXPECTED.fetch(attendee.level - technique.level) { |above| above.positive? ? 1.0 : 0.0 }
        done = attendee.experience[technique.key] or return expected

        1 - ((1 - expected) * Math.exp(-done.times * fading(done.last, on) / TIMES))
      end

      def fading(last, on)
        return 1.0 if last.nil? || on.nil? || last >= on

        0.5**((on - last).to_i / HALF_LIFE_DAYS)
      end
      private_class_method :fading
    end
  end
end
