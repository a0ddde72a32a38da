# frozen_string_literal: true

# How easily a text is read: Flesch's reading ease, 206.835 - 1.015 words a sentence - 84.6 syllables a word (R. Flesch, "A new
# readability yardstick", Journal of Applied Psychology 32, 1948); plain English is 60 and above. Syllables are counted by groups of vowels,
# a silent ending left out (common practice, no source).
module Readability
  WORD = /[[:alpha:]][[:alpha:]'’-]*/
  SILENT = /(?:[^laeiouy]es|[^aeiouydt]ed|[^laeiouy]e)\z/

  module_function

  # @param text [String] plain, a line or full stop ending each sentence
  # @return [Float]
  def ease(text)
    sentences = text.split(/[.!?:;]+(?:\s|\z)|\n/).count { |sentence| sentence.match?(WORD) }
    words = text.scan(WORD)
    206.835 - (1.015 * words.size.fdiv(sentences)) - (84.6 * words.sum { |word| syllables(word) }.fdiv(words.size))
  end

  def syllables(word)
    sounded = word.downcase.sub(SILENT) { |ending| ending[0] }
    word.length <= 3 ? 1 : [sounded.scan(/[aeiouy]{1,2}/).size, 1].max
  end
end
