# frozen_string_literal: true

module Core
  module Setup
    # A dated class, as an instructor plans it ("class" on the screens; Ruby keeps that word).
    Workshop = Fields.define do
      field :key, :key, required: true
      field :title, :name, shown: :class, required: true
      field :date, :date, shown: :class, required: true, says: 'day of the class'
      field :start, :clock, shown: :class, required: true, says: 'when it begins'
      field :minutes, :whole, shown: :class, within: 15..720, required: true, says: 'length of the class in minutes'
      field :venue, :text, shown: :class, most: 200, default: ''
      field :tool_sets, :whole, shown: :class, within: 0..100, default: 0, says: 'sets of tools laid ready'
      field :assumed_size, :size, says: 'size of people who are not measured yet; left out for what is usual in the group'
      field :supply, :record, of: SupplySettings, default: SupplySettings.new
      field :teaching, :record, of: TeachingSettings, default: TeachingSettings.new
      field :session, :record, of: SessionSettings, default: SessionSettings.new
      field :note, :record, of: Note, default: Note.new, says: 'what was noted once the class was held; only in the file of a whole studio'
    end

    class Workshop
      MOST_PEOPLE = 60

      def ends
        start + minutes
      end
    end
  end
end
