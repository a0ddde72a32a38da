# frozen_string_literal: true

module Core
  module Planning
    # A step of the class, in its place in the order.
    #
    # @param minutes_by_level {level => minutes} for the levels present
    # @param step in its values a FromTo where people differ
    # @param reason Steps::StepOrder::Reason
    # @param numbers {attendee => {name of a value => value}} of what differs, empty where nothing does
    PlannedStep = Value.define(:number, :step, :technique, :minutes_by_level, :tools, :cautions, :reason, numbers: {}.freeze)
  end
end
