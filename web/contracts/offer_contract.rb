# frozen_string_literal: true

module Web
  module Contracts
    # A pack that a supplier sells.
    class OfferContract < Contract
      texts :supplier, :unit, :amount, :price, :article, :also

      option :currency
      option :suppliers
      option :units
      # Those that may come in the same pack.
      option :parts

      MOST_OTHERS = 60
      OTHER = /\A(?<number>\d{1,5})\s*[x×]?\s+(?<name>.+)\z/

      rule(:supplier).validate(known: [:suppliers, 'Choose a supplier; enter one first if there is none.'])
      rule(:unit).validate(known: [:units, 'Choose how it is sold.'])
      rule(:price).validate(amount: [0..Core::Money::MOST_MINOR, 'Give the price of a pack, such as 4.50, not below zero.'])
      rule(:article).validate(at_most: 160)
      rule(:amount) do
        next unless key?

        whole = values[:unit] == 'piece'
        good = value.match?(whole ? WHOLE : DECIMAL) && value.tr(',', '.').to_r.between?(Rational(1, 1000), 999_999)
        next if good || units.none? { |unit| unit.to_s == values[:unit] }

        key.failure(whole ? 'Give how many are in a pack, a whole number above 0.' : 'Give how much is in a pack, above 0.')
      end
      rule(:also, :unit) do
        next if values[:also].to_s.empty?

        wrong = values[:also].lines.map(&:strip).find { |line| OfferContract.other(line, parts).nil? }
        if wrong then key(:also).failure("“#{wrong[0, 60]}” is no number and part. Write a line such as: 20 #{parts.first&.name}.")
        elsif values[:unit] != 'piece' then key(:also).failure('Give an assortment by pieces: choose that it is sold by the piece.')
        elsif values[:also].lines.size > MOST_OTHERS then key(:also).failure("Keep to #{MOST_OTHERS} lines.")
        end
      end

      # @param line [String] such as "20 x 6 mm round, frosted clear glass" @return [(String, Integer), nil] part key and pieces
      def self.other(line, parts)
        found = OTHER.match(line) or return
        part = parts.find { |one| [one.key, one.name.downcase].include?(found[:name].strip.downcase) }
        [part.key, found[:number].to_i] if part && found[:number].to_i.positive?
      end

      # @return [Array<(String, Integer)>]
      def self.also(text, parts)
        text.lines.filter_map { |line| other(line.strip, parts) }
      end
    end
  end
end
