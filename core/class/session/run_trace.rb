# frozen_string_literal: true

module Core
  module Session
    # One run with all that happened.
    #
    # @param rows {attendee key => [Segment]}
    # @param shown {label of a demonstration => minute it began}
    # @param ended {attendee key => {label of a task => minute its work ended}}
    # @param begun {attendee key => {label of a task => minute}}
    # @param finished {attendee key => minute}, clearing up not counted
    # @param waiting [(minute, people waiting for tools, people waiting for help)] each time it changes
    # @param held {tool key => minutes in use}
    # @param helping minutes of all helpers with people or showing
    RunTrace = Value.define(:rows, :shown, :begun, :ended, :finished, :waiting, :held, :helping) do
      # @return [RunTrace] without what happened from minute to minute, which takes most of the room
      def summed
        with(rows: {}.freeze, waiting: [].freeze)
      end
    end
  end
end
