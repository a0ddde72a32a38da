# frozen_string_literal: true

module Core
  module Live
    # Something that happened in a class, as it was tapped.
    #
    # @param key its own name, so that what is sent twice counts once
    # @param kind one of KINDS
    # @param at seconds since 1970
    # @param person attendee key, nil where it is about all
    # @param undoes key of the event that an :undo takes back
    # @param detail what it says: a length as text for :measured and :measured_flat, a part's key for :spare and :reject, a step's for
    #   :leave_out, a tool's for :tool_in and :tool_out (with how many, "key:6"), a technique's for :show, a table's number from 1
    #   for :table_next, for :problem the mark of the fault that was seen
    Event = Value.define(:key, :kind, :at, person: nil, undoes: nil, detail: nil)

    class Event
      # start and end: of the class · absent, here: of a person · next, back: a step on or back · hand: needs the instructor · helped: no
      # more · finished: with all, however far the taps were · measured, measured_flat: at a checkpoint, inside, or laid flat as its step
      # asks · spare: one was used for what was lost or spoiled · reject: one was used for a part that was no good · problem: a sign was
      # seen · leave_out: an optional step, by everyone · tool_in, tool_out: counted in again, handed out · kit, kits: one was given to a
      # person, to all who are here · table_next: all at a table go on · show, shown: a demonstration begins, ends
      KINDS = %i[start end absent here next back hand helped measured measured_flat spare reject problem finished leave_out tool_in tool_out
                 kit kits table_next show shown undo].freeze
      ABOUT_PEOPLE = %i[absent here next back hand helped measured measured_flat spare reject problem finished kit].freeze
      SAYING = %i[measured measured_flat spare reject problem leave_out tool_in tool_out table_next show].freeze
    end
  end
end
