# frozen_string_literal: true

module Web
  module Contracts
    # What an attendee's row may hold.
    class PersonContract < Contract
      texts :name, :measure, :body, :level, :notes, :colourway

      LEVELS = (1..5).freeze
      LONGEST_NOTES = 2000

      rule(:name).validate(filled: 'Give a name.', at_most: 80)
      rule(:level).validate(whole: [LEVELS, 'Give a level from 1 (first lesson) to 5.'])
      rule(:notes).validate(at_most: LONGEST_NOTES)
      rule(:measure).validate(at_most: [40, 'Shorten this to a number and a unit.'])
      rule(:measure, :body) do
        next if !values.key?(:measure) || values[:measure].strip.empty? || values[:measure].length > 40

        problem = Formats::MeasureText.read(values[:measure], values[:body].to_sym).problem
        key(:measure).failure(Formats::Wording.say("imports.#{problem.first}", **problem.last)) if problem
      end
    end
  end
end
