# frozen_string_literal: true

module Core
  module Project
    # Changes to a chart's data: letters on strands, row by row. Every change gives new data back; one that cannot be made gives the same.
    module ChartEdit
      MOST_ROWS = Construction::Chart::MOST_ROWS

      module_function

      # @param strands [Integer] @param part_key [String] @return [Hash] a chart of one colour to begin with
      def begin(strands, part_key)
        { 'palette' => { 'A' => part_key }, 'rows' => ['A' * strands] * 4 }
      end

      def paint(chart, row, strand, letter)
        return chart unless chart['palette'].key?(letter) && chart['rows'][row] && strand.between?(0, chart['rows'][row].size - 1)

        with_row(chart, row) { |text| text.dup.tap { |changed| changed[strand] = letter } }
      end

      # The row again, below itself.
      def insert(chart, row)
        return chart if chart['rows'].size >= MOST_ROWS || chart['rows'][row].nil?

        chart.merge('rows' => chart['rows'].dup.insert(row + 1, chart['rows'][row]))
      end

      def remove(chart, row)
        chart['rows'].size > 1 ? chart.merge('rows' => chart['rows'].reject.with_index { |_, i| i == row }) : chart
      end

      # All rows again in reverse, so that the chart reads the same from both ends.
      def mirror(chart)
        rows = chart['rows'] + chart['rows'].reverse
        rows.size > MOST_ROWS ? chart : chart.merge('rows' => rows)
      end

      # The chart again, each row one strand further: a spiral.
      def spiral(chart)
        last = chart['rows'].last
        chart['rows'].size < MOST_ROWS ? chart.merge('rows' => chart['rows'] + [last[1..] + last[0]]) : chart
      end

      # One strand moved down by a row.
      def shift(chart, strand)
        column = chart['rows'].map { |row| row[strand] }
        return chart if column.any?(&:nil?)

        moved = column.rotate(-1)
        chart.merge('rows' => chart['rows'].each_with_index.map { |row, i| row.dup.tap { |changed| changed[strand] = moved[i] } })
      end

      # Gives a letter another part, or the next free letter a new one.
      def colour(chart, letter, part_key)
        letter = ('A'..'Z').find { |free| !chart['palette'].key?(free) } unless chart['palette'].key?(letter)
        letter ? chart.merge('palette' => chart['palette'].merge(letter => part_key)) : chart
      end

      # Takes a colour out where no cell has it.
      def drop_colour(chart, letter)
        used = chart['rows'].any? { |row| row.include?(letter) } || chart['palette'].size == 1
        used ? chart : chart.merge('palette' => chart['palette'].except(letter))
      end

      # As many strands as asked for: cut off, or filled on with the last letter of each row.
      def strands(chart, number)
        chart.merge('rows' => chart['rows'].map { |row| row[0, number].to_s.ljust(number, row[-1] || chart['palette'].keys.first) })
      end

      # @param text [String] rows as lines of letters, perhaps with commas between them
      def write(chart, text)
        rows = text.lines.map { |line| line.gsub(/[^A-Za-z]/, '').upcase }.reject(&:empty?)
        rows.empty? ? chart : chart.merge('rows' => rows.first(MOST_ROWS + 1))
      end

      def with_row(chart, row)
        chart.merge('rows' => chart['rows'].each_with_index.map { |text, i| i == row ? yield(text) : text })
      end
      private_class_method :with_row
    end
  end
end
