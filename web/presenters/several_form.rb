# frozen_string_literal: true

module Web
  module Presenters
    # One change for several people at once: level, colourway, ease or notes. What is left empty stays as it is.
    class SeveralForm
      include Fields

      EASE_MM = (0..100).freeze
      # Takes the project's own parts again.
      AS_DESIGNED = '-'

      # @param design [Core::Project::Design]
      def initialize(params, design)
        @design = design
        @values = %w[level colourway ease notes].to_h { |name| [name, clean(params[name])] }
        @keys = Array(params['people']).grep(String)
        @values['people'] = @keys.join(' ')
        @errors = check
      end

      # @param state [Store::ClassState] @return [Store::ClassState]
      def apply(state)
        state.with(attendees: state.attendees.map { |attendee|
          @keys.include?(attendee.key) ? attendee.with(**changes(attendee)) : attendee
        })
      end

      private

      def changes(attendee)
        {
          level: value(:level).empty? ? nil : value(:level).to_i,
          ease: ease,
          notes: value(:notes).empty? ? nil : [attendee.notes, value(:notes)].reject(&:empty?).uniq.join('; ')[0,
            PersonForm::LONGEST_NOTES]
        }.compact
          .merge(value(:colourway).empty? ? {} : { colourway: value(:colourway) == AS_DESIGNED ? nil : value(:colourway) })
      end

      def ease
        value(:ease).empty? ? nil : Core::Measure::Length.parse(value(:ease), default_unit: :mm)
      end

      def check
        {
          people: ('Tick the people it is for.' if @keys.empty?),
          level: ('Choose a level from 1 to 5.' unless value(:level).match?(/\A[1-5]?\z/)),
          colourway: ('Choose one of the list.' unless ['', AS_DESIGNED, *@design.colourways.keys].include?(value(:colourway))),
          ease: ease_problem,
          notes: ("Shorten this to #{PersonForm::LONGEST_NOTES} characters." if value(:notes).length > PersonForm::LONGEST_NOTES)
        }.compact
      end

      def ease_problem
        found = ease
        "Give an ease from 0 to #{EASE_MM.end} mm, such as 13 mm." unless found.nil? || EASE_MM.cover?(found.to_mm)
      rescue Core::Measure::NotALength
        'Give the ease as a number and a unit, such as 13 mm or 1/2 in.'
      end
    end
  end
end
