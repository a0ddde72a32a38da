# frozen_string_literal: true

require 'csv'

module Formats
  # Rows of cells from what a spreadsheet copies or saves: tabs, commas or semicolons, quoted cells that may hold
  # line breaks, UTF-8 or UTF-16 with or without a byte order mark, else Windows-1252.
  class CellTable
    # text that cannot be split into cells. line: 1-based
    class Unreadable < Core::Error
      attr_reader :line

      def initialize(line)
        @line = line
        super("the quote marks in line #{line} do not close")
      end
    end

    SEPARATORS = ["\t", ';', ','].freeze

    attr_reader :rows, :separator

    # @param bytes [String] in any encoding @raise [Unreadable]
    def initialize(bytes)
      @text = CellTable.decode(bytes).gsub(/\r\n?/, "\n").sub(/\A\n+/, '')
      @separator = guess_separator
      @rows = parse.map { |row| row.map { |cell| cell.to_s.strip } }.reject { |row| row.all?(&:empty?) }
    end

    # @return [Integer] cells in the widest row
    def width
      rows.map(&:size).max || 0
    end

    # @return [String] UTF-8 without a byte order mark and without NUL
    def self.decode(bytes)
      raw = bytes.dup.force_encoding(Encoding::BINARY)
      text = if raw.start_with?("\xFF\xFE".b) then raw[2..].force_encoding(Encoding::UTF_16LE)
             elsif raw.start_with?("\xFE\xFF".b) then raw[2..].force_encoding(Encoding::UTF_16BE)
             else raw.delete_prefix("\xEF\xBB\xBF".b).force_encoding(Encoding::UTF_8)
             end
      text = text.force_encoding(Encoding::Windows_1252) unless text.valid_encoding?
      text.encode(Encoding::UTF_8, invalid: :replace, undef: :replace, replace: "\uFFFD").delete("\u0000")
    end

    private

    # The one that splits the first lines into the most, and most even, cells.
    def guess_separator
      lines = @text.lines.first(10)
      SEPARATORS.max_by { |separator| [lines.map { |line| line.count(separator) }.min || 0, lines.sum { |line| line.count(separator) }] }
    end

    def parse
      CSV.parse(@text, col_sep: separator, skip_blanks: true)
    rescue CSV::MalformedCSVError => e
      raise Unreadable.new(e.line_number) unless inch_signs_only?

      @text.split("\n").map { |line| line.split(separator, -1) }
    end

    # A quote mark behind a figure is an inch sign, not a mistake.
    def inch_signs_only?
      @text.scan(/(.?)"/).flatten.all? { |before| before.match?(/[\d½¼¾⅛⅜⅝⅞]/) }
    end
  end
end
