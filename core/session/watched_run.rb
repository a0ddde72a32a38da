# frozen_string_literal: true

module Core
  module Session
    # One run with all that happened. rows: {attendee key => [Segment]} · shown: {label of a demonstration => minute it began}
    # ended: {attendee key => {label of a task => minute its work ended}}
    # begun: {attendee key => {label of a task => minute}} · finished: {attendee key => minute}, clearing up not counted
    # waiting: [(minute, people waiting for tools, people waiting for help)] each time it changes · held: {tool key => minutes in use}
    # helping: minutes of all helpers with people or showing
    WatchedRun = Value.define(:rows, :shown, :begun, :ended, :finished, :waiting, :held, :helping) do
      # @return [WatchedRun] what sums are made from: who did what from minute to minute takes most of the room
      def without_rows
        with(rows: {}.freeze)
      end
    end
  end
end
