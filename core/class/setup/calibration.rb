# frozen_string_literal: true

module Core
  module Setup
    # What turns an experienced maker's times into a class's. All values from memory until a logbook replaces them.
    # pace: {level => factor} · welcome, clearing: minutes · quick, slow: shortest and longest time of a step against its usual one
    # between: how much people of one level differ, as a coefficient of variation · learning: time of the doubled repeat against the repeat
    # losses: {kind of part => share of uses that is lost at level 3}, where classes taught it; see Materials::Loss
    # walking_minutes: to fetch a shared tool · neighbours: share of calls that a neighbour answers who has nothing to do
    # fatigue: how much slower people are, as a share, once they worked for tires_after minutes without a break
    # assistant_pace: an assistant's visit against yours · put_down: minutes until you come where you make a piece of your own
    # help: chance that someone to whom a technique is new calls for help once · help_minutes: one visit
    Calibration = Value.define(pace: { 1 => 2.2, 2 => 1.6, 3 => 1.25, 4 => 1.0, 5 => 0.8 }.freeze, welcome_minutes: 10,
      clearing_minutes: 10,
      quick: 0.7, slow: 1.9, between: 0.15, learning: 0.88, help: 0.45, help_minutes: 2.5, losses: {}.freeze,
      walking_minutes: 0.2, neighbours: 0.15, fatigue: 0.08, tires_after: 60, assistant_pace: 1.2, put_down: 0.5)
  end
end
