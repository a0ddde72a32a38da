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
    end
  end
end
