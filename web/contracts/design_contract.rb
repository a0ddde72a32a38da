# frozen_string_literal: true

require 'dry/validation'

module Web
  module Contracts
    # What a whole design may be, as typed into its form.
    class DesignContract < Dry::Validation::Contract
      params do
        %i[name body ease wraps made tails note].each { |field| optional(field).maybe(:string) }
      end

      rule(:name) do
        key.failure('Give the project a name.') if value.to_s.strip.empty?
        key.failure('Shorten the name to 120 characters.') if value.to_s.length > 120
      end
      rule(:body) { key.failure('Choose what it is sized by.') unless Core::Project::Design::BODIES.map(&:to_s).include?(value) }
      rule(:tails) { key.failure('Choose a way to leave tails.') unless Core::Project::Design::TAILS.map(&:to_s).include?(value) }
      rule(:ease) do
        length = Core::Measure::Length.parse(value.to_s, default_unit: :mm)
        key.failure('Give an ease from 0 to 300 mm, such as 13 mm.') unless (0..300).cover?(length.to_mm)
      rescue Core::Measure::NotALength
        key.failure('Give the ease as a number and a unit, such as 13 mm or 1/2 in.')
      end
      { wraps: 'times round', made: 'number alike' }.each do |field, label|
        rule(field) { key.failure("Give the #{label} as a whole number from 1 to 12.") unless value.to_s.match?(/\A([1-9]|1[0-2])\z/) }
      end
      rule(:note) { key.failure('Shorten this to 2000 characters.') if value.to_s.length > 2000 }
    end
  end
end
