# frozen_string_literal: true

module Web
  module Presenters
    # What is in the stockroom: parts, lines and tools as one list that can be searched and narrowed.
    class StockList
      include Printing

      # One thing.
      #
      # @param part whether it is one, line: see part
      # @param words what it is found by
      # @param low whether none is on the shelf
      # @param count of it on the shelf, nil for what is not counted by the piece
      # @param price of the pack that is cheapest by the piece, nil without one
      Row = Core::Value.define(:item, :part, :line, :path, :stock_path, :name, :kind, :kind_words, :measures, :material, :shelf, :low,
        :words, :hidden, count: nil, price: nil) do
        # @return [String] its place in the page
        def anchor
          path.split('/').last(2).join('-')
        end
      end
      LONGEST = 60
      # More are not shown at once.
      MOST_SHOWN = 500

      attr_reader :unit

      # @param library [Application::Library] @param stock [Core::Supply::Stock] @param params [Hash] find, kind and low
      # @param all [Array<Row>, nil] of the same studio and unit, where they are known
      def initialize(library, stock, params, unit, all = nil)
        @all = all
        @table = library.table
        @market = library.market
        @stock = stock
        @params = params
        @unit = unit
      end

      def find
        @params['find'].is_a?(String) ? @params['find'].byteslice(0, LONGEST * 4).scrub[0, LONGEST].strip : ''
      end

      def kind
        known = @params['kind'].to_s
        kinds.key?(known) ? known : ''
      end

      def low?
        @params['low'] == '1'
      end

      # @return [Boolean] whether what is no longer offered is shown too
      def hidden?
        @params['hidden'] == '1'
      end

      # @return [Hash{String=>String}] kinds there are, in bagging order
      def kinds
        @kinds ||= all.to_h { |row| [row.kind, row.kind_words] }
      end

      # @return [Array<Row>] those that answer to what is asked for
      def rows
        @rows ||= begin
          wanted = find.downcase.split
          found = hidden? ? all : all.reject(&:hidden)
          found.select { |row| (kind.empty? || row.kind == kind) && (!low? || row.low) && wanted.all? { |word| row.words.include?(word) } }
        end
      end

      # @return [Array<Row>] the first of them
      def shown
        rows.first(MOST_SHOWN)
      end

      # @return [Hash{String=>Array<Row>}] the shown ones by the name of their kind
      def groups
        shown.group_by(&:kind_words)
      end

      # @return [Boolean] whether the page holds everything, so that it can be narrowed without asking again
      def whole?
        all.size <= MOST_SHOWN
      end

      def count_words
        return count_of(rows.size, 'thing') if shown.size == rows.size

        "The first #{MOST_SHOWN} of #{rows.size} things. Write a few letters to find others."
      end

      # @return [Array<Row>]
      def all
        @all ||= @table.parts.values.sort_by { |part|
                   [Core::Catalogue::Part::KINDS.index(part.kind), part.name]
                 }.map { |part| part_row(part) } +
                 @table.lines.values.sort_by { |line| [line.kind, line.thickness] }.map { |line| line_row(line) } +
                 @table.tools.values.map { |tool| tool_row(tool) }
      end

      private

      def part_row(part)
        shelf = @stock.part(part.key)
        hole = part.hole ? "hole #{fine(part.hole)}" : 'hole not measured'
        measures = "#{length(part.along)} × #{length(part.outer)}, #{hole}"
        row(part, "/stockroom/parts/#{part.key}", stock: true, kind: part.kind.to_s, kind_words: say("kinds.#{part.kind}"),
          measures: measures, material: part.material || 'not known',
          shelf: shelf.zero? ? 'none' : shelf.to_s, low: shelf < 1, part: true, count: shelf, price: price_of(part))
      end

      def line_row(line)
        bars = @stock.bars(line.key).select { |_, count| count.positive? }
        measures = "#{fine(line.thickness)} thick, #{line.rated_load_grams ? "bears #{line.rated_load_grams} g" : 'load not known'}"
        row(line, "/stockroom/lines/#{line.key}", stock: true, kind: 'line', kind_words: say('kinds.line'), measures: measures,
          material: line.material || 'not known',
          shelf: bars.empty? ? 'none' : bars.sort.reverse.map { |bar, count|
            "#{count} × #{length(bar)}"
          }.join(', '), low: bars.empty?, line: true, price: price_of(line))
      end

      # @return [String, nil]
      def price_of(item)
        offers = item.is_a?(Core::Catalogue::Line) ? @market.reels_of(item) : @market.packs_of(item).map(&:first)
        best = offers.min_by { |offer| Rational(offer.price.minor, offer.amount) } or return
        "#{best.price} for #{Formats::OfferText.content(best, unit)}"
      end

      def tool_row(tool)
        sharing = if tool.people_per_tool.zero? then 'one for the class'
                  else tool.people_per_tool == 1 ? 'one for each seat' : "one for #{tool.people_per_tool} people"
                  end
        notes = [sharing,
                 ('nothing else may stand in' unless tool.substitutable),
                 ('counted out and in' if tool.counted)].compact.join(', ')
        row(tool, "/stockroom/tools/#{tool.key}", stock: false, kind: 'tool', kind_words: say('kinds.tool'), measures: notes, material: '',
          shelf: '', low: false)
      end

      def row(item, path, stock:, part: false, line: false, **about)
        words = [item.name, about[:kind_words], about[:measures], about[:material]].join(' ').downcase
        Row.new(item: item, part: part, line: line, path: path, stock_path: stock ? "#{path}/stock" : nil, name: item.name, words: words,
          hidden: @table.hidden?(path.split('/')[2].to_sym, item.key), **about)
      end
    end
  end
end
