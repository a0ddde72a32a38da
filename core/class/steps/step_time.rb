# frozen_string_literal: true

module Core
  module Steps
    # How long one step usually takes one person.
    class StepTime
      # The repeat from which a technique is known well: from there on its base time holds, and more repeats make nobody faster (from
      # memory; the plateau is Baloff's, Journal of Industrial Engineering 17, 1966). Who knows it well begins there; who knows it half,
      # half way.
      REFERENCE = 10
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
        @starts = {}.compare_by_identity
      end

      # How one person's minutes of a step come about: their product.
      #
      # @param seconds base time of one
      # @param effort of this step
      # @param learning how much longer the repeats take than for who knows it well
      # @param pace of the level, for what is known well
      # @param light how poor light slows it
      # @param hand how the other hand slows it
      Working = Value.define(:seconds, :repeats, :effort, :learning, :pace, :light, :hand) do
        # @return [Float]
        def minutes
          seconds * repeats * effort * learning * pace * light * hand / 60
        end
      end

      # What one person brings to a technique.
      #
      # @param done repeats of it that are behind them
      # @param pace of their level
      # @param hand see Working
      Start = Value.define(:done, :pace, :hand)

      # @param step [Making::StepUse] @param technique [Catalogue::Technique] @param attendee [People::Attendee]
      # @return [Float]
      def minutes(step, technique, attendee)
        working(step, technique, attendee).minutes
      end

      # @return [Working]
      def working(step, technique, attendee)
        start = (@starts[attendee] ||= {}.compare_by_identity)[technique] ||= start(technique, attendee)
        Working.new(seconds: technique.seconds, repeats: step.repeats, effort: step.effort.to_f,
          learning: learning(step.repeats, start.done),
          pace: start.pace, light: @light, hand: start.hand)
      end

      # Sum of the times of so many repeats, the first time of all being 1 and n of them having been done before.
      # Wright's unit curve T_n = T_1 · n^log2(r), added up (Wright, Journal of the Aeronautical Sciences 3(4), 1936), flat from a repeat
      # on.
      # @return [Float]
      def self.cumulative(count, before, exponent, flat_from: Float::INFINITY)
        (1..count).sum { |n| [n + before, flat_from].min**exponent }
      end

      # @param rate [Float] time of the doubled repeat against the repeat
      def self.exponent(rate)
        Math.log2(rate)
      end

      private

      # A technique is worked in several steps.
      def start(technique, attendee)
        knows = People::Familiarity.of(attendee, technique, @on)
        Start.new(done: (knows * REFERENCE).round(1), pace: @calibration.pace.fetch(attendee.level), hand: hand(technique, attendee, knows))
      end

      # @param before [Float] repeats done, to a tenth
      # @return [Float] mean time of so many repeats against that of who knows it well
      def learning(count, before)
        return 1.0 if count.zero?

        (@learned[before] ||= {})[count] ||=
          StepTime.cumulative(count, before, @exponent, flat_from: REFERENCE) / (count * (REFERENCE**@exponent))
      end

      def hand(technique, attendee, knows)
        !technique.left_hand.empty? && knows < People::Familiarity::KNOWN && attendee.left_handed? ? LEFT_HANDED : 1.0
      end
    end
  end
end
