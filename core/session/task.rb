# frozen_string_literal: true

module Core
  module Session
    # One step as one attendee does it. minutes: own work · demonstration_minutes: watched before the first use of the technique
    Task = Value.define(:step, :technique, :minutes, :demonstration_minutes)
  end
end
