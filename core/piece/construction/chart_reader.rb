# frozen_string_literal: true

module Core
  module Construction
    # Reads a chart's data and says everything that is wrong with it at its cell.
    class ChartReader < Reader
      # @return [Chart, nil] of what could be read; check #problems
      def read(data)
        return report([], :not_a_chart) unless data.is_a?(Hash) && data['palette'].is_a?(Hash) && data['rows'].is_a?(Array)

        palette = data['palette'].filter_map { |letter, key| colour(letter, key) }.to_h
        rows = data['rows'].each_with_index.map { |row, i| row(row, i, palette) }
        return report(%w[rows], :chart_empty) if rows.empty? || rows.first.empty?

        report(%w[rows], :chart_too_large, rows: Chart::MOST_ROWS,
          strands: Chart::MOST_STRANDS) if rows.size > Chart::MOST_ROWS || rows.first.size > Chart::MOST_STRANDS
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
    end
  end
end
