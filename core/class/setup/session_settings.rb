# frozen_string_literal: true

module Core
  module Setup
    # What an instructor chose for one class about how it runs.
    #
    # @param demonstrations :together (all wait and watch), :carry_on (who knows it works on), :at_start (all shown before the work)
    # @param assistants beside the instructor
    # @param more_tools {tool key => borrowed}
    # @param stagger minutes by which every second person begins later
    # @param break_at minute, 0 for none
    # @param break_minutes how long it lasts
    # @param late hundredths of people who come late
    # @param late_minutes by how much on average
    # @param poor_light whether small work takes longer for want of light
    # @param target chance wanted that everyone finishes, in hundredths
    # @param fixed_end the room is not to be had longer
    # @param assistant_hour minor units
    # @param tool_hire minor units for one borrowed tool
    # @param tires whether people tire
    # @param walks whether they walk to shared tools
    # @param neighbours whether they help each other
    # @param own_piece whether the instructor makes one beside teaching
    SessionSettings = Value.define(
      demonstrations: :together,
      assistants: 0,
      more_tools: {}.freeze,
      stagger: 0,
      break_at: 0,
      break_minutes: 10,
      late: 10,
      late_minutes: 5,
      poor_light: false,
      target: 90,
      fixed_end: false,
      assistant_hour: 1500,
      tool_hire: 300,
      tires: true,
      walks: true,
      neighbours: true,
      own_piece: false
    )

    class SessionSettings
      DEMONSTRATIONS = %i[together carry_on at_start].freeze
      ASSISTANTS = (0..6).freeze
      STAGGER = (0..120).freeze
      BREAK_AT = (0..720).freeze
      BREAK_MINUTES = (0..120).freeze
      LATE = (0..100).freeze
      LATE_MINUTES = (0..60).freeze
      TARGET = (50..99).freeze
      MORE = (0..60).freeze
    end
  end
end
