# frozen_string_literal: true

module Web
  module Contracts
    # An invitation to a class: until when, for how many, and what stands above the questions.
    class InvitationContract < Contract
      texts :closes_on, :seats, :words

      # The day of the class.
      option :day

      rule(:closes_on).validate(typed: Core::Field.new(name: :closes_on, type: :date, required: true))
      rule(:closes_on) do
        date = TypedField.date(value)
        key.failure('Give a day that is not after the class.') if date && date > day
      end
      rule(:seats).validate(whole: [1..Core::Setup::Workshop::MOST_PEOPLE, 'Give how many can take part.'])
      rule(:words).validate(at_most: 1000)
    end
  end
end
