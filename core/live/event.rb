# frozen_string_literal: true

module Core
  module Live
    # Something that happened in a class, as it was tapped. key: its own name, so that what is sent twice counts once · kind: one of KINDS
    # at: seconds since 1970 · person: attendee key, nil where it is about all · undoes: key of the event that an :undo takes back
    Event = Value.define(:key, :kind, :at, person: nil, undoes: nil)

    class Event
      # start and end: of the class · absent, here: of a person · next, back: a step on or back · hand: needs the instructor · helped: no
      # more
      KINDS = %i[start end absent here next back hand helped undo].freeze
      ABOUT_PEOPLE = %i[absent here next back hand helped].freeze
    end
  end
end
