# frozen_string_literal: true

module Core
  module Steps
    # One step as one attendee does it.
    #
    # @param kind :step, :practice or :extra
    # @param minutes own work
    # @param demonstration_minutes watched before the first use of the technique
    # @param reason why it differs from the common way, nil when it does not
    # @param holding Steps::Holding, the tools
    # @param working StepTime::Working, nil for what is set in minutes
    Task = Value.define(:step, :technique, :minutes, :demonstration_minutes, kind: :step, reason: nil, holding: Holding::NONE,
      working: nil) do
      # @param attendee [People::Attendee]
      # @return [String] what a left-hander does otherwise, '' where nothing or for others
      def left_hand(attendee)
        attendee.left_handed? ? technique.left_hand : ''
      end
    end
  end
end
