# frozen_string_literal: true

module Formats
  module TrueSize
    # A ruler with the places of this person's stations, in pieces that are glued where their letters meet: the line is laid along it and
    # marked, from the outer edge of the first end.
    class MarkedLineSvg
      include Sheet

      HIGH = 11.0
      GAP = 8.0
      PIECE = 165.0
      TAB = 10.0
      EVERY = 10
      # Room for the numbers of stations, and for the letter at the end of a piece.
      ABOVE = 4.0
      LETTER = 8.0

      # @param marked [Core::Making::MarkedLine]
      def initialize(marked)
        @marked = marked
        @long = marked.long.to_mm
      end

      # @return [String]
      def to_s
        pieces = 0.step(@long, PIECE).map { |from| [from.to_f, [from + PIECE, @long].min] }.reject { |from, to| to - from < 1 }
        drawn = pieces.each_with_index.map { |(from, to), row| piece(from, to, row, last: row == pieces.size - 1) }
        high = ABOVE + (pieces.size * (HIGH + GAP)) + 2
        page(high, Wording.say('marked_line.title', count: @marked.spans.size), drawn.join + check_bar(TAB, high - 3))
      end

      private

      def piece(from, to, row, last:)
        top = ABOVE + (row * (HIGH + GAP))
        edge = stroke("M#{n(row.zero? ? TAB : 0)} #{n(top)}H#{n(TAB + to - from)}v#{n(HIGH)}H#{n(row.zero? ? TAB : 0)}z")
        edge + ticks(from, to, top) + stations(from, to, top) + meeting(row, to - from, top, last)
      end

      def meeting(row, long, top, last)
        tab = row.zero? ? '' : stroke("M#{n(TAB)} #{n(top)}v#{HIGH}", dashes: '1.5 1') + letter(row - 1, 5, top + 7)
        tab + (last ? '' : letter(row, TAB + long - 3, top + HIGH - 3.4))
      end

      def letter(row, x_mm, y_mm)
        words(('A'.ord + row).chr, x_mm, y_mm, size: 4, bold: true, anchor: 'middle')
      end

      def ticks(from, to, top)
        marks = (from.ceil..to.floor).select { |at| (at % 5).zero? }
        lines = marks.map { |at| "M#{n(TAB + at - from)} #{n(top + HIGH)}v#{(at % EVERY).zero? ? -3 : -1.8}" }
        stroke(lines.join, wide: 0.15) + marks.select { |at| (at % (EVERY * 2)).zero? && at < to - LETTER }.map { |at|
          words(at, TAB + at - from + 0.6, top + HIGH - 3.2, size: 2)
        }.join
      end

      # What lies on two pieces is drawn on both.
      def stations(from, to, top)
        @marked.spans.each_with_index.filter_map { |(start, finish), i|
          left, right = [start, finish].map { |one| one.to_mm.clamp(from, to) }
          next unless right > left

          x = TAB + left - from
          %(<rect x="#{n(x)}" y="#{n(top)}" width="#{n(right - left)}" height="4" fill="#{PALE}" stroke="#{INK}" stroke-width="0.2"/>) +
            stroke("M#{n(x)} #{n(top - 2)}v6.5", wide: 0.4) + words(i + 1, x + 0.5, top - 0.6, size: 2.6, bold: true)
        }.join
      end
    end
  end
end
