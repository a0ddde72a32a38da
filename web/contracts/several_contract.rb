# frozen_string_literal: true

module Web
  module Contracts
    # One change for several people at once; what is left empty stays as it is.
    class SeveralContract < Contract
      texts :people, :level, :colourway, :ease, :notes

      option :colourways

      rule(:people).validate(filled: 'Tick the people it is for.')
      rule(:level) { key.failure('Choose a level from 1 to 5.') if key? && !value.match?(/\A[1-5]?\z/) }
      rule(:colourway).validate(known: :colourways)
      rule(:notes).validate(at_most: PersonContract::LONGEST_NOTES)
      rule(:ease).validate(:own_ease)
    end
  end
end
