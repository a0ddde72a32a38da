# frozen_string_literal: true

require 'dry/validation'

module Web
  module Contracts
    # What an attendee may be, as typed into a row.
    class PersonContract < Dry::Validation::Contract
      params do
        optional(:name).maybe(:string)
        optional(:measure).maybe(:string)
        optional(:body).maybe(:string)
        optional(:level).maybe(:string)
        optional(:notes).maybe(:string)
        optional(:colourway).maybe(:string)
      end

      rule(:name) do
        key.failure('Give a name.') if value.to_s.strip.empty?
        key.failure('Shorten the name to 80 characters.') if value.to_s.length > 80
      end
      rule(:measure, :body) do
        text = values[:measure].to_s
        next if text.strip.empty?
        next key(:measure).failure('Shorten this to a number and a unit.') if text.length > 40

        problem = Formats::MeasureText.read(text, values[:body].to_sym).problem
        key(:measure).failure(Formats::Wording.say("imports.#{problem.first}", **problem.last)) if problem
      end
      rule(:level) { key.failure('Give a level from 1 (first lesson) to 5.') unless value.to_s.match?(/\A[1-5]\z/) }
      rule(:notes) { key.failure("Shorten this to #{Presenters::PersonForm::LONGEST_NOTES} characters.") if value.to_s.length > Presenters::PersonForm::LONGEST_NOTES }
    end
  end
end
