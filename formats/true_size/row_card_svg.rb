# frozen_string_literal: true

module Formats
  module TrueSize
    # Runs of beads with a box to tick for each: a column for each petal, leaf or loop, a line for each run.
    class RowCardSvg
      include Sheet

      LABEL = 52.0
      CELL = 8.0
      LINE = 8.0
      HEAD = 8.0

      # @param card [Core::Making::RowCard]
      def initialize(card)
        @card = card
        @cell = [CELL, (WIDEST - LABEL) / card.number].min
      end

      # @return [String]
      def to_s
        rows = @card.runs.each_with_index.map { |beads, row| row(beads, row) }
        high = HEAD + (@card.runs.size * LINE) + 1
        page(high + CHECK, Wording.say('row_card.title', parts: parts, bead: @card.bead),
          numbers + rows.join + check_bar(0.5, high + CHECK - 2))
      end

      private

      def parts
        Wording.say("row_card.roles.#{@card.role}", count: @card.number)
      end

      def numbers
        (1..@card.number).map { |number| words(number, LABEL + ((number - 0.5) * @cell), HEAD - 2.5, size: size, anchor: 'middle') }.join +
          words(parts, 0, HEAD - 2.5, size: 3.4, bold: true)
      end

      def size
        [3.2, @cell * 0.55].min
      end

      def row(beads, row)
        top = HEAD + (row * LINE)
        words(Wording.say('row_card.run', count: beads, number: row + 1), 0, top + 5.2, size: 3.4) +
          (0...@card.number).map { |number| box(LABEL + (number * @cell), top) }.join
      end

      def box(left, top)
        side = [@cell, LINE].min - 1.4
        stroke("M#{n(left + ((@cell - side) / 2))} #{n(top + 0.7)}h#{n(side)}v#{n(side)}h#{n(-side)}z")
      end
    end
  end
end
