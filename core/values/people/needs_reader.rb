# frozen_string_literal: true

module Core
  module People
    # Suggests needs from an instructor's words, to be looked at before they are saved. What is denied suggests nothing.
    module NeedsReader
      DENIED = /\b(?:no|not|isn't|without|never|none)\b/i
      CLAUSE = /[.;,\n()]|\bbut\b/i
      YOUNG = /\b(?:child|minor|kid|junior|toddler|schoolgirl|schoolboy|pupil|under ?1[0-8])\b/i
      AGES = [/\b(?:aged?|is) ?(\d{1,2})\b(?! ?(?:years?|yrs?) of)/i,
              /\b(\d{1,2})[ -]?(?:years?|yrs?)[ -]old\b/i,
              %r{\b(\d{1,2}) ?y/?o\b}i,
              /\b(?:child|kid|girl|boy|son|daughter|junior)\b\D{0,4}(\d{1,2})\b(?! ?(?:years?|yrs?) of)/i,
              /(?:\A|[,;] *)(\d{1,2}) ?(?:years?|yrs?) *(?:\z|[,;.])/i].freeze
      LEFT = /\bleft[ -]?hand(?:ed|er)?\b|\bleft(?:y|ie)\b|\A *left *\z/i
      ALLERGENS = { nickel: /nickel/i, latex: /latex|\brubber\b/i, brass: /\bbrass\b/i, copper: /\bcopper\b/i }.freeze
      ALLERGY = /allerg|sensitive|reacts|rash/i
      OTHER_ALLERGY = /\ballerg(?:y|ic|ies) to ([[:alpha:]][[:alpha:] -]*)|([[:alpha:]][[:alpha:] -]*?) allerg(?:y|ies)\b/i
      LOW_VISION = /\b(?:glasses|eyesight|sight|vision|magnif\w*|(?:good|better|more) light)\b/i
      HELP = {
        hands: /arthriti|tremor|weak (?:grip|hands)|(?:stiff|sore|unsteady) (?:hands|fingers)|one hand\b/i,
        hearing: /\bdeaf\b|\bhearing\b/i,
        wheelchair: /wheelchair/i,
        implant: /pacemaker|implant/i
      }.freeze

      module_function

      # @param text [String] @return [Needs]
      def read(text)
        clauses = text.split(CLAUSE).map(&:strip).reject { |clause| clause.empty? || DENIED.match?(clause) }
        age = age(text)
        Needs.new(age: age, minor: age ? age < Needs::ADULT : any?(clauses, YOUNG), left_handed: any?(clauses, LEFT),
          allergies: allergies(clauses),
          other_allergy: other_allergy(clauses), low_vision: any?(clauses, LOW_VISION),
          help: HELP.select { |_, pattern| any?(clauses, pattern) }.keys)
      end

      def any?(clauses, pattern)
        clauses.any? { |clause| pattern.match?(clause) }
      end

      def age(text)
        found = AGES.filter_map { |pattern| pattern.match(text) }.first
        years = found && found[1].to_i
        years if years && Needs::AGES.cover?(years)
      end

      # A metal named beside anything else but an allergy may be what they like to work with; nickel is only ever named for that.
      def allergies(clauses)
        ALLERGENS.select { |name, pattern|
          clauses.any? { |clause|
            pattern.match?(clause) && (name == :nickel || ALLERGY.match?(clause) || clause.match?(/\A#{pattern.source}\z/i))
          }
        }.keys
      end

      def other_allergy(clauses)
        clauses.filter_map { |clause| OTHER_ALLERGY.match(clause)&.captures&.compact&.first&.strip }
          .map { |words|
          words.split(/\band\b/).map(&:strip).reject { |word|
            word.empty? || ALLERGENS.values.any? { |pattern|
              pattern.match?(word)
            }
          }.join(' and ')
        }.reject(&:empty?).join(', ')
      end
      private_class_method :any?, :age, :allergies, :other_allergy
    end
  end
end
