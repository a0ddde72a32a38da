# frozen_string_literal: true

module Core
  module Live
    # Something that happened in a class, as it was tapped. key: its own name, so that what is sent twice counts once · kind: one of KINDS
    # at: seconds since 1970 · person: attendee key, nil where it is about all · undoes: key of the event that an :undo takes back
    # detail: what it says: a length inside as text for :measured, a part's key for :spare, a step's for :leave_out, a tool's for :tool_in
    Event = Value.define(:key, :kind, :at, person: nil, undoes: nil, detail: nil)

    class Event
      # start and end: of the class · absent, here: of a person · next, back: a step on or back · hand: needs the instructor · helped: no
      # more · finished: with all, however far the taps were · measured: at a checkpoint · spare: one was used · leave_out: an optional
      # step, by everybody · tool_in: counted in again
      KINDS = %i[start end absent here next back hand helped measured spare finished leave_out tool_in undo].freeze
      ABOUT_PEOPLE = %i[absent here next back hand helped measured spare finished].freeze
      SAYING = %i[measured spare leave_out tool_in].freeze
    end
  end
end
