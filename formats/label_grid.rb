# frozen_string_literal: true

module Formats
  # A sheet of labels. Lengths in millimetres: a label's size, the sheet's left and top margin, the gaps between labels.
  LabelGrid = Core::Value.define(:key, :paper, :columns, :rows, :width, :height, :left, :top, gap: 0.0) do
    def each_sheet
      columns * rows
    end

    # @param index [Integer] on a sheet, row by row
    # @return [Array(Float, Float)] its left and top edge, in millimetres from the sheet's corner
    def place(index)
      [left + ((index % columns) * (width + gap)), top + ((index / columns) * height)]
    end

    # @return [String]
    def to_s
      inches = paper == 'LETTER'
      size = inches ? "#{fraction(width)} × #{fraction(height)} in" : "#{format('%g', width)} × #{format('%g', height)} mm"
      "#{inches ? 'Letter' : paper}, #{columns} × #{rows}, #{size}"
    end

    private

    def fraction(millimetres)
      LengthPrint.call(Core::Measure::Length.mm(millimetres.round(4)), :in).delete_suffix(' in')
    end
  end

  # Sizes in which label sheets are commonly cut (common practice, no source).
  class LabelGrid
    ALL = [
      new(key: 'a4-2x7', paper: 'A4', columns: 2, rows: 7, width: 99.1, height: 38.1, left: 4.65, top: 15.1, gap: 2.5),
      new(key: 'a4-3x8', paper: 'A4', columns: 3, rows: 8, width: 63.5, height: 33.9, left: 7.2, top: 12.9, gap: 2.5),
      new(key: 'a4-2x4', paper: 'A4', columns: 2, rows: 4, width: 99.1, height: 67.7, left: 4.65, top: 13.1, gap: 2.5),
      new(key: 'letter-2x5', paper: 'LETTER', columns: 2, rows: 5, width: 101.6, height: 50.8, left: 4.0, top: 12.7, gap: 4.7),
      new(key: 'letter-3x10', paper: 'LETTER', columns: 3, rows: 10, width: 66.675, height: 25.4, left: 4.7, top: 12.7, gap: 3.2)
    ].freeze

    # @return [LabelGrid] the first for an unknown key
    def self.find(key)
      ALL.find { |grid| grid.key == key } || ALL.first
    end
  end
end
