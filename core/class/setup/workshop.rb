# frozen_string_literal: true

module Core
  module Setup
    # A dated class, as an instructor plans it ("class" on the screens; Ruby keeps that word).
    # date: Date · start: Measure::ClockTime · minutes: its length · tool_sets: sets of tools laid ready · assumed_size: Measure::Length for
    # people not measured yet, nil for what is usual in the group · supply: Setup::Provision · teaching: Setup::Teaching · session:
    # Setup::Running · note: Setup::Note, once it was held
    Workshop = Value.define(:key, :title, :date, :start, :minutes, venue: '', tool_sets: 0, assumed_size: nil, supply: Provision.new,
      teaching: Teaching.new,
      session: Running.new, note: Note.new) do
      def ends
        start + minutes
      end
    end

    class Workshop
      MOST_PEOPLE = 60
      MINUTES = (15..720).freeze
    end
  end
end
