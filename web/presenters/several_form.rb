# frozen_string_literal: true

module Web
  module Presenters
    # One change for several people at once: level, colourway, ease or notes. What is left empty stays as it is.
    class SeveralForm < Form
      # Takes the project's own parts again.
      AS_DESIGNED = '-'

      # @param design [Core::Project::Design]
      def initialize(params, design)
        @keys = Array(params['people']).grep(String)
        super(typed(params, %w[level colourway ease notes]).merge('people' => @keys.join(' ')),
          Contracts::SeveralContract.new(colourways: ['', AS_DESIGNED, *design.colourways.keys]))
      end

      # @param state [Store::ClassState] @return [Store::ClassState]
      def apply(state)
        state.with(attendees: state.attendees.map { |attendee|
          @keys.include?(attendee.key) ? attendee.with(**changes(attendee)) : attendee
        })
      end

      private

      def changes(attendee)
        changed = {}
        changed[:level] = value(:level).to_i unless value(:level).empty?
        changed[:ease] = Core::Measure::Length.parse(value(:ease), default_unit: :mm) unless value(:ease).empty?
        changed[:notes] = notes(attendee) unless value(:notes).empty?
        changed[:colourway] = (value(:colourway) unless value(:colourway) == AS_DESIGNED) unless value(:colourway).empty?
        changed
      end

      def notes(attendee)
        [attendee.notes, value(:notes)].reject(&:empty?).uniq.join('; ')[0, Contracts::PersonContract::LONGEST_NOTES]
      end
    end
  end
end
