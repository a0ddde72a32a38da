# frozen_string_literal: true

module Web
  module Contracts
    # What a class may be.
    class ClassContract < Contract
      texts :title, :date, :start, :minutes, :venue, :tool_sets

      SETS = (0..100).freeze
      MINUTES = Core::Setup::Workshop::MINUTES

      rule(:title).validate(filled: 'Give the class a title, so that you find it again.', at_most: 120)
      rule(:date).validate(:date)
      rule(:start) { key.failure('Give the start as hours and minutes, such as 18:30.') if key? && !Core::Measure::ClockTime.parse(value) }
      rule(:minutes).validate(whole: [MINUTES, "Give whole minutes from #{MINUTES.begin} to #{MINUTES.end}."])
      rule(:venue).validate(at_most: 200)
      rule(:tool_sets).validate(whole: [SETS, "Give a whole number of sets from #{SETS.begin} to #{SETS.end}."])
    end
  end
end
