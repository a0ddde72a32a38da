# frozen_string_literal: true

module Core
  module People
    # What a class must know of someone beside size and level. Nothing here is guessed from notes: see NeedsReader for what is only
    # suggested.
    #
    # minor
    #
    # @param age in years, nil when not known
    # @param guardian who is responsible for a minor
    # @param allergies some of ALLERGIES
    # @param other_allergy anything else, in full
    # @param help some of HELP
    Needs = Value.define(minor: false, age: nil, guardian: '', left_handed: false, allergies: [].freeze, other_allergy: '',
      low_vision: false, help: [].freeze) do
      # @return [Boolean] a child whose age is not known counts as one
      def minor?
        minor || (!age.nil? && age < Needs::ADULT)
      end

      # @param years [Integer] @return [Boolean] whether they may be younger
      def under?(years)
        age ? age < years : minor
      end

      def allergic_to?(allergen)
        allergies.include?(allergen)
      end

      # @return [Array<Symbol>] what stands on cards and lists, some of FLAGS and in their order
      def flags
        Needs::FLAGS & [*allergies,
                        *help,
                        (:other_allergy unless other_allergy.empty?),
                        (:left_handed if left_handed),
                        (:minor if minor?),
                        (:low_vision if low_vision)]
      end
    end

    class Needs
      ADULT = 18
      AGES = (1..120).freeze
      ALLERGIES = %i[nickel latex brass copper].freeze
      HELP = %i[hands hearing wheelchair implant].freeze
      FLAGS = [*ALLERGIES, :other_allergy, :left_handed, :minor, :low_vision, *HELP].freeze
    end
  end
end
