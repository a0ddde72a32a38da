# frozen_string_literal: true

module Core
  module Setup
    # What turns an experienced maker's times into a class's. All values from memory until a logbook replaces them.
    #
    # @param pace {level => factor}
    # @param welcome_minutes at the beginning
    # @param clearing_minutes at the end
    # @param quick shortest time of a step against its usual one
    # @param slow longest time of a step against its usual one
    # @param between how much people of one level differ, as a coefficient of variation
    # @param evening how much one evening differs from another in all its work, as a spread of the logarithm
    # @param doubt how far the time of a technique may be from the truth, as a spread of the logarithm
    # @param learning time of the doubled repeat against the repeat
    # @param losses {kind of part => share of uses that is lost at level 3}, where classes taught it
    # @param walking_minutes to fetch a shared tool
    # @param neighbours share of calls that a neighbour answers who has nothing to do
    # @param fatigue how much slower people are, as a share, once they worked for tires_after minutes without a break
    # @param assistant_pace an assistant's visit against yours
    # @param put_down minutes until you come where you make a piece of your own
    # @param help chance that someone to whom a technique is new calls for help once
    # @param help_minutes one visit
    Calibration = Value.define(
      pace: { 1 => 2.2, 2 => 1.6, 3 => 1.25, 4 => 1.0, 5 => 0.8 }.freeze,
      welcome_minutes: 10,
      clearing_minutes: 10,
      quick: 0.7,
      slow: 1.9,
      between: 0.15,
      evening: 0.1,
      doubt: 0.2,
      learning: 0.88,
      help: 0.45,
      help_minutes: 2.5,
      losses: {}.freeze,
      walking_minutes: 0.2,
      neighbours: 0.15,
      fatigue: 0.08,
      tires_after: 60,
      assistant_pace: 1.2,
      put_down: 0.5
    )

    class Calibration
      # What is known of people before any class counts as if so many had shown it (from memory).
      PEOPLE_BEFORE = 12.0
    end
  end
end
