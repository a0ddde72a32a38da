# frozen_string_literal: true

module Core
  module People
    # Reads what an instructor wrote about a person for the few things the plan acts on.
    module Mind
      PATTERNS = {
        nickel: /nickel/i,
        allergy: /allerg/i,
        left_handed: /left[ -]?hand|\blefty\b|\bleft\b/i,
        minor: /\bminor\b|\bchild\b|\bunder ?1[0-8]\b|\bage[d]? ?(?:\d|1[0-7])\b|\b(?:\d|1[0-7])[ -]?(?:years?|yrs?|yo)\b/i,
        implant: /pacemaker|implant/i,
        sight: /glasses|eyesight|\bsight\b|magnif/i
      }.freeze
      FLAGS = PATTERNS.keys.freeze

      module_function

      AGE = /\b(?:aged?|is) ?(\d{1,2})\b|\b(\d{1,2})[ -]?(?:years?|yrs?|yo)\b/i

      # @return [Integer, nil] an age in years that the text states
      def age(text)
        match = AGE.match(text) and (match[1] || match[2]).to_i
      end

      # @return [Array<Symbol>] the flags the text mentions, in FLAGS' order
      def flags(text)
        found = PATTERNS.filter_map { |flag, pattern| flag if pattern.match?(text) }
        found.include?(:nickel) ? found - [:allergy] : found
      end
    end
  end
end
