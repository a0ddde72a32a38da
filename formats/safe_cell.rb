# frozen_string_literal: true

module Formats
  # A cell of a table for spreadsheets, in which nothing is worked out that was typed as a text.
  module SafeCell
    # A cell that begins with one of these would be worked out as a formula by a spreadsheet.
    FORMULA = /\A[=+\-@\t\r]/.freeze

    module_function

    # @return [Object] texts that look like a formula with an apostrophe before them; numbers as they are
    def call(cell)
      cell.is_a?(String) && cell.match?(FORMULA) ? "'#{cell}" : cell
    end
  end
end
