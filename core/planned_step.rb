# frozen_string_literal: true

module Core
  # A step of the class, in its place in the order. minutes_by_level: {level => minutes} for the levels present
  # reason: Technique::Order::Reason
  PlannedStep = Value.define(:number, :step, :technique, :minutes_by_level, :tools, :cautions, :reason)
end
