# frozen_string_literal: true

module Formats
  # Finds the part or line that a supplier's words mean: by words in common, where all figures must agree.
  class ArticleMatcher
    # @param item key, nil for nothing
    # @param certainty :sure, :doubtful or :none
    Match = Core::Value.define(:item, :certainty)
    NOTHING = Match.new(item: nil, certainty: :none)
    # Share of words in common (Dice's coefficient, Ecology 26, 1945).
    SURE = 0.95
    DOUBTFUL = 0.65
    SMALL_WORDS = %w[the of with and in a mm].freeze

    # @param known [Array<Core::Supply::Offer>] what this supplier was matched with before
    def initialize(table, known)
      @known = known.to_h { |offer| [[offer.kind, offer.article], offer.item] }
      @words = { part: table.parts, line: table.lines }.transform_values { |items|
        items.values.to_h { |item|
          [item.key, words(item.name)]
        }
      }
      @holders = @words.transform_values { |items|
        items.each_with_object(Hash.new { |h, k|
          h[k] = []
        }) { |(key, words), all|
          words.each { |word|
            all[word] << key
          }
        }
      }
      @found = {}
    end

    # @param kind [Symbol] :part or :line
    # @return [Match]
    def match(article, name, kind)
      before = @known[[kind, [article, name].reject(&:empty?).join(' · ')]]
      return Match.new(item: before, certainty: :sure) if before

      @found[[name, kind]] ||= best(words(name), kind)
    end

    private

    def best(asked, kind)
      shared = Hash.new(0)
      asked.each { |word| @holders[kind].fetch(word, []).each { |key| shared[key] += 1 } }
      scored = shared.map { |key, common| [key, score(asked, @words[kind][key], common)] }.sort_by { |key, score| [-score, key] }
      item, score = scored.first
      return NOTHING if item.nil? || score < DOUBTFUL

      Match.new(item: item, certainty: score >= SURE && (scored[1].nil? || scored[1].last < score) ? :sure : :doubtful)
    end

    # Figures say the size: where they differ it is another thing.
    def score(asked, known, common)
      return 0.0 if asked.grep(/\d/).sort != known.grep(/\d/).sort

      2.0 * common / (asked.size + known.size)
    end

    # Figures keep their point; what stands in brackets, and how many are in a pack, is not what it is.
    def words(name)
      name.downcase.gsub(/\([^)]*\)/, ' ').tr('×', 'x').scan(%r{\d+(?:[.,/]\d+)*|[[:alpha:]]+}).map { |word|
        word.tr(',', '.').delete_suffix('s')
      }.uniq - SMALL_WORDS
    end
  end
end
