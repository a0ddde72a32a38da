# frozen_string_literal: true

module Core
  module People
    # What a class must know of someone beside size and level. Nothing here is guessed from notes: see NeedsReader for what is only
    # suggested.
    Needs = Fields.define do
      field :minor, :yes, default: false, says: 'whether they are under age'
      field :age, :whole, within: 1..120, says: 'in years, left out where it is not known'
      field :guardian, :text, most: 120, default: '', says: 'who is responsible for a minor'
      field :left_handed, :yes, default: false
      field :allergies, :choices, of: %i[nickel latex brass copper], default: [].freeze
      field :other_allergy, :text, most: 300, default: '', says: 'anything else, in full'
      field :low_vision, :yes, default: false
      field :help, :choices, of: %i[hands hearing wheelchair implant], default: [].freeze
    end

    class Needs
      ADULT = 18
      AGES = field(:age).within
      ALLERGIES = field(:allergies).of
      HELP = field(:help).of
      FLAGS = [*ALLERGIES, :other_allergy, :left_handed, :minor, :low_vision, *HELP].freeze

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
  end
end
