# frozen_string_literal: true

module Core
  module Construction
    # Colours on strands: rows of letters, one letter a strand, that repeat along the work. As data:
    # {"palette": {"A": "seed_8_ink"}, "rows": ["AABB", "ABBA"]}
    class Chart
      MOST_ROWS = 200
      MOST_STRANDS = 24

      # palette: {letter => part} · rows: [[letter]]
      attr_reader :palette, :rows

      def initialize(palette, rows)
        @palette = palette.freeze
        @rows = rows.freeze
        @counts = upto.freeze
        freeze
      end

      def strands
        rows.first.size
      end

      # @param strand [Integer] from 0 @param beads [Integer] how many it takes
      # @return [Array<Catalogue::Part>] in the order in which they are used
      def strand(strand, beads)
        (0...beads).map { |i| palette.fetch(rows[i % rows.size][strand]) }
      end

      # @return [Array<(Catalogue::Part, Integer)>] a strand as runs, in loading order
      def runs(strand, beads)
        strand(strand, beads).chunk_while { |a, b| a == b }.map { |run| [run.first, run.size] }
      end

      # @param beads [Integer] on each strand @return [Array<(Catalogue::Part, Integer)>] over all strands
      def totals(beads)
        full, over = beads.divmod(rows.size)
        palette.filter_map do |letter, part|
          number = (full * @counts.last.fetch(letter, 0)) + @counts[over].fetch(letter, 0)
          [part, number] if number.positive?
        end
      end

      private

      # @return [Array<Hash{String=>Integer}>] cells of each letter in the first rows, from none to all
      def upto
        rows.each_with_object([{}]) { |row, sums| sums << sums.last.merge(row.tally) { |_, a, b| a + b } }
      end

      # Reads a chart's data and says everything that is wrong with it at its cell.
      class Reader
        attr_reader :problems

        # @param table [Catalogue::Table]
        def initialize(table)
          @table = table
          @problems = []
        end

        # @return [Chart, nil] of what could be read; check #problems
        def read(data)
          return report([], :not_a_chart) unless data.is_a?(Hash) && data['palette'].is_a?(Hash) && data['rows'].is_a?(Array)

          palette = data['palette'].filter_map { |letter, key| colour(letter, key) }.to_h
          rows = data['rows'].each_with_index.map { |row, i| row(row, i, palette) }
          return report(%w[rows], :chart_empty) if rows.empty? || rows.first.empty?

          report(%w[rows], :chart_too_large, rows: MOST_ROWS,
            strands: MOST_STRANDS) if rows.size > MOST_ROWS || rows.first.size > MOST_STRANDS
          rows.each_with_index { |row, i| report(['rows', i], :strands_differ, first: rows.first.size,
            here: row.size) if row.size != rows.first.size }
          Chart.new(palette, rows) if @problems.empty?
        end

        private

        def colour(letter, key)
          return report(['palette', letter.to_s], :not_a_letter) unless letter.to_s.match?(/\A[A-Z]\z/)

          part = @table.part(key)
          part.bead? ? [letter, part] : report(['palette', letter], :wrong_kind, name: part.name, kinds: 'bead')
        rescue UnknownKey
          report(['palette', letter.to_s], :unknown_part, key: key.to_s)
        end

        def row(text, number, palette)
          text.to_s.chars.each_with_index.map do |letter, strand|
            report(['rows', number, strand], :not_in_palette, letter: letter, row: number + 1,
              strand: strand + 1) unless palette.key?(letter)
            letter
          end
        end

        def report(at, code, **values)
          @problems << Problem.new(at: at, code: code, values: values)
          nil
        end
      end
    end
  end
end
