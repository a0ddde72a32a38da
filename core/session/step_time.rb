# frozen_string_literal: true

module Core
  module Session
    # How long one step usually takes one person.
    class StepTime
      # The repeat at which the base time of a technique holds, and what is carried in by somebody who knows it well (from memory).
      REFERENCE = 10.0
      # Harder with poor light, and for a left-hander to whom a technique that is shown right-handed is new (from memory).
      POOR_LIGHT = 1.1
      LEFT_HANDED = 1.15

      # @param calibration [Calibration] @param on [Date] of the class @param poor_light [Boolean]
      def initialize(calibration, on: nil, poor_light: false)
        @calibration = calibration
        @on = on
        @light = poor_light ? POOR_LIGHT : 1.0
        @exponent = StepTime.exponent(calibration.learning)
        @learned = {}
      end

      # @param step [Construction::StepUse] @param skill [Technique::Skill] @param attendee [People::Attendee]
      # @return [Float] minutes: base × effort × repeats as they get faster × pace × what makes it harder
      def minutes(step, skill, attendee)
        knows = Technique::Familiarity.of(attendee, skill, @on)
        seconds = skill.seconds * step.effort.to_f * repeats(step.repeats, knows * REFERENCE)
        seconds * @calibration.pace.fetch(attendee.level) * @light * hand(skill, attendee, knows) / 60
      end

      # Sum of the times of so many repeats, the first time of all being 1 and n of them having been done before.
      # Wright's unit curve T_n = T_1 · n^log2(r), added up (Wright, Journal of the Aeronautical Sciences 3(4), 1936).
      # @return [Float]
      def self.cumulative(count, before, exponent)
        whole = before.floor
        part = before - whole
        (1..count).sum { |n| (n + whole + part)**exponent }
      end

      # @param rate [Float] time of the doubled repeat against the repeat
      def self.exponent(rate)
        Math.log2(rate)
      end

      private

      # Times base time: as many as the step has, each faster than the one before.
      def repeats(count, before)
        before = before.round(1)
        @learned[[count, before]] ||= StepTime.cumulative(count, before, @exponent) / (REFERENCE**@exponent)
      end

      def hand(skill, attendee, knows)
        !skill.left_hand.empty? && knows < Technique::Familiarity::KNOWN && attendee.left_handed? ? LEFT_HANDED : 1.0
      end
    end
  end
end
