# frozen_string_literal: true

module Web
  # Passwords that are tried first. (NIST SP 800-63B, 5.1.1.2: common values, repeated and sequential signs, the user's own name.)
  module Guessable
    FEWEST_SIGNS = 5
    # So large a share of the signs follows the one before, or repeats it.
    MOST_IN_A_ROW = 0.6

    module_function

    # @param password [String]
    # @param login [String] the account's address
    # @param common [Set<String>] passwords that many people use
    # @return [Boolean]
    def call(password, login:, common:)
      typed = password.downcase
      few_signs?(typed) || in_a_row?(typed) || of_address?(typed, login.downcase) || common?(typed, common)
    end

    def few_signs?(typed)
      typed.chars.uniq.size < FEWEST_SIGNS
    end

    # 123456789012, abcdefghijkl, zyxwvu: by the numbers of the signs.
    def in_a_row?(typed)
      steps = typed.codepoints.each_cons(2).map { |one, other| other - one }
      steps.count { |step| step.abs <= 1 } > steps.size * MOST_IN_A_ROW
    end

    def of_address?(typed, login)
      typed.include?(login) || login.include?(typed)
    end

    # Also with digits and signs around it, or twice.
    def common?(typed, common)
      word = typed.gsub(/[^a-z]/, '')
      halves = [typed[0, typed.size / 2], typed[(typed.size / 2)..]]
      [typed, (word if word.size * 2 >= typed.size), (halves.first if halves.uniq.one?)].compact.any? { |one| common.include?(one) }
    end
    private_class_method :few_signs?, :in_a_row?, :of_address?, :common?
  end
end
