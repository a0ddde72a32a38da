# frozen_string_literal: true

module Web
  module Contracts
    # What a whole design may be.
    class DesignContract < Contract
      texts :name, :body, :ease, :wraps, :made, :tails, :note

      TIMES = (1..12).freeze

      rule(:name).validate(filled: 'Give the project a name.', at_most: 120)
      rule(:body).validate(one_of: Core::Project::Design::BODIES)
      rule(:tails).validate(one_of: Core::Project::Design::TAILS)
      rule(:ease).validate(length: [0..300, 'Give an ease from 0 to 300 mm with its unit, such as 13 mm or 1/2 in.'])
      rule(:wraps).validate(whole: [TIMES, "Give the times round as a whole number from #{TIMES.begin} to #{TIMES.end}."])
      rule(:made).validate(whole: [TIMES, "Give the number alike as a whole number from #{TIMES.begin} to #{TIMES.end}."])
      rule(:note).validate(at_most: 2000)
    end
  end
end
