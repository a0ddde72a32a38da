# frozen_string_literal: true

require 'csv'

module Formats
  # A chart as a table: a row for each row of the chart, a column for each strand; the colours stand at its foot.
  module ChartCsv
    module_function

    # @param data [Hash] a chart's data @param table [Core::Catalogue::Table]
    # @return [String]
    def write(data, table)
      CSV.generate do |csv|
        csv << ['row', *(1..data['rows'].first.size).map { |strand| "strand #{strand}" }]
        data['rows'].each_with_index { |row, i| csv << [i + 1, *row.chars] }
        data['palette'].each { |letter, key| csv << [letter, SafeCell.call(table.parts[key]&.name || key)] }
      end
    end
  end
end
