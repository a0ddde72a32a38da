# frozen_string_literal: true

module Core
  module Session
    # One run with all that happened. rows: {attendee key => [Segment]} · shown: {label of a demonstration => minute it began}
    # ended: {attendee key => {label of a task => minute its work ended}}
    # begun: {attendee key => {label of a task => minute}} · finished: {attendee key => minute}, clearing up not counted
    # waiting: [(minute, people waiting for tools, people waiting for help)] each time it changes · held: {tool key => minutes in use}
    # helping: minutes of all helpers with people or showing
    WatchedRun = Value.define(:rows, :shown, :begun, :ended, :finished, :waiting, :held, :helping) do
      # @return [WatchedRun] without what happened from minute to minute, which takes most of the room
      def summed
        with(rows: {}.freeze, waiting: [].freeze)
      end
    end
  end
end
