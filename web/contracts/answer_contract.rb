# frozen_string_literal: true

module Web
  module Contracts
    # What someone answers who was invited.
    class AnswerContract < Contract
      texts :name, :measure, :mail, :age, :other_allergy, :note, :consent

      # What the project is sized by, nil where it has one size.
      option :body

      MAIL = /\A[^@\s]{1,64}@[^@\s]{1,180}\.[^@\s]{2,}\z/

      rule(:name).validate(filled: 'Give your name.', at_most: 80)
      rule(:measure).validate(at_most: [40, 'Shorten this to a number and a unit.'])
      rule(:measure) do
        next if value.empty? || value.length > 40 || body.nil?

        problem = Formats::MeasureText.read(value, body).problem
        key.failure(Formats::Wording.say("imports.#{problem.first}", **problem.last)) if problem
      end
      rule(:mail) { key.failure('Give an address such as ilse@example.org, or leave it empty.') unless value.empty? || value.match?(MAIL) }
      rule(:age) do
        good = value.empty? || (value.match?(WHOLE) && Core::People::Needs::AGES.cover?(value.to_i))
        key.failure('Give the age in whole years, or leave it empty.') unless good
      end
      rule(:other_allergy).validate(at_most: 300)
      rule(:note).validate(at_most: 1000)
      rule(:consent) { key.failure('Tick this, or your answer cannot be kept.') unless value == '1' }
    end
  end
end
