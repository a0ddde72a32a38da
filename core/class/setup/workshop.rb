# frozen_string_literal: true

module Core
  module Setup
    # A dated class, as an instructor plans it ("class" on the screens; Ruby keeps that word).
    #
    # @param date Date
    # @param start Measure::ClockTime
    # @param minutes its length
    # @param tool_sets sets of tools laid ready
    # @param assumed_size Measure::Length for people not measured yet, nil for what is usual in the group
    # @param supply Setup::SupplySettings
    # @param teaching Setup::TeachingSettings
    # @param session Setup::SessionSettings
    # @param note Setup::Note, once it was held
    Workshop = Value.define(
      :key, :title, :date, :start, :minutes,
      venue: '',
      tool_sets: 0,
      assumed_size: nil,
      supply: SupplySettings.new,
      teaching: TeachingSettings.new,
      session: SessionSettings.new,
      note: Note.new
    ) do
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
