# frozen_string_literal: true

module Formats
  # Reads a supplier's price list from CSV and finds out which part or line each row is. Nothing is saved here.
  # Columns in any order, by their headings; amounts in pieces, grams, millimetres of strand or metres of reel.
  class PriceList
    MOST_ROWS = 100_000
    COLUMNS = {
      article: /\A(article|code|number|no\.?|sku|item number|ref)\b/i,
      name: /\A(name|item|description|product|what)\b/i,
      unit: /\A(unit|sold by|measure)\b/i,
      amount: /\A(content|amount|pack|quantity|qty|size)\b/i,
      price: /\A(price|cost|net)\b/i,
      currency: /\Acurrency\b/i
    }.freeze
    NEEDED = %i[name unit amount price].freeze
    # Each unit's words, what it measures, and how many of Offer's amount one of it is.
    UNITS = {
      /\A(pieces?|pcs?|pc|each|units?)\z/i => [:part, :piece, 1],
      /\A(g|grams?)\z/i => [:part, :gram, 1000],
      /\A(mm|strand ?mm)\z/i => [:part, :strand, 1_000_000],
      /\A(cm|strand ?cm)\z/i => [:part, :strand, 10_000_000],
      /\A(m|met(?:er|re)s?)\z/i => [:line, :reel, 1_000_000_000]
    }.freeze
    NUMBER = /\A-?\d{1,9}([.,]\d{1,4})?\z/

    # One row. item: key of what it was taken for, nil for nothing
    #
    # @param certainty :sure, :doubtful or :none
    # @param problem [wording key, values], nil when the row can be used
    Row = Core::Value.define(:line, :article, :name, :offer, :certainty, :problem)

    attr_reader :rows, :problem

    # @param table [Core::Catalogue::Table] @param market [Core::Supply::Market] @param supplier [String] key
    # @yieldparam share [Float] how much is read, now and then
    def initialize(bytes, table, market, supplier, &progress)
      @market = market
      @supplier = supplier
      @matcher = ArticleMatcher.new(table, market.offers.select { |offer| offer.supplier == supplier })
      @rows = []
      cells = CellTable.new(bytes).rows
      @problem = columns_of(cells.first || []) || (%i[too_many] if cells.size > MOST_ROWS + 1)
      @rows = read(cells.drop(1), progress) unless @problem
      # Only the rows are kept: a list that was read is carried from one process to another.
      @matcher = nil
    rescue CellTable::Unreadable => e
      @problem = [:bad_quotes, { line: e.line }]
    end

    def usable
      rows.reject(&:problem)
    end

    def wrong
      rows.select(&:problem)
    end

    def of(certainty)
      usable.select { |row| row.certainty == certainty }
    end

    private

    # @return [Array, nil] what is wrong with the headings
    def columns_of(headings)
      found = COLUMNS.transform_values { |pattern| headings.each_index.select { |i| headings[i].match?(pattern) } }
      doubled = found.find { |_, places| places.size > 1 }
      return [:column_twice, { column: doubled.first.to_s, headings: doubled.last.map { |i| headings[i] }.join(', ') }] if doubled

      missing = NEEDED.select { |name| found[name].empty? }
      return [:column_missing, { columns: missing.join(', '), headings: headings.join(', ')[0, 200] }] if missing.any?

      @columns = found.transform_values(&:first)
      nil
    end

    def read(cells, progress)
      seen = {}
      cells.each_with_index.map do |row, index|
        progress&.call(index.fdiv(cells.size)) if (index % 500).zero?
        row_of(row, index + 2, seen)
      end
    end

    def row_of(cells, line, seen)
      text = ->(name) { (at = @columns[name]) ? cells[at].to_s.strip : '' }
      kind, unit, = UNITS.find { |pattern, _| pattern.match?(text.(:unit)) }&.last
      match = kind ? @matcher.match(text.(:article), text.(:name), kind) : ArticleMatcher::NOTHING
      problem = problem_of(text, unit)
      offer = unless problem
                Core::Supply::Offer.new(supplier: @supplier, kind: kind, item: match.item, unit: unit, amount: amount(text).to_i,
                  price: Core::Money.parse(text.(:price), @market.currency),
                  article: [text.(:article), text.(:name)].reject(&:empty?).join(' · ')[0, 160])
              end
      problem ||= twice(offer, text.(:name), line, seen)
      Row.new(line: line, article: text.(:article), name: text.(:name), offer: offer, certainty: match.certainty, problem: problem)
    end

    def problem_of(text, unit)
      return [:name_missing, {}] if text.(:name).empty?
      return [:unit_unknown, { given: text.(:unit)[0, 40] }] if unit.nil?
      return [:currency_other,
              {
                currency: text.(:currency),
                ours: @market.currency
              }] unless text.(:currency).empty? || text.(:currency).casecmp?(@market.currency)
      return [:amount_unreadable,
              { amount: text.(:amount)[0, 40] }] unless text.(:amount).match?(NUMBER) && number(text.(:amount)).positive?
      return [:amount_not_whole, { amount: text.(:amount)[0, 40] }] unless amount(text).denominator == 1 && amount(text).positive?

      price = Core::Money.parse(text.(:price), @market.currency)
      return [:price_unreadable, { price: text.(:price) }] if price.nil?

      [:price_negative, { price: text.(:price) }] if price.minor.negative?
    end

    # @return [Rational] in the offer's unit
    def amount(text)
      _, (_, unit, factor) = UNITS.find { |pattern, _| pattern.match?(text.(:unit)) }
      units = number(text.(:amount)) * factor
      unit == :piece ? units : Rational(units.round)
    end

    def number(text)
      text.tr(',', '.').to_r
    end

    def twice(offer, name, line, seen)
      key = [name.downcase, offer.unit, offer.amount]
      first = seen[key]
      seen[key] ||= line
      [:row_twice, { first: first }] if first
    end
  end
end
