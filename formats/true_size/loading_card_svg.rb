# frozen_string_literal: true

module Formats
  module TrueSize
    # What is loaded on each strand, bead by bead from the braid outward, with a box to tick for each strand. Beads carry their letters, so
    # that it can be read in black and white.
    class LoadingCardSvg
      include Sheet

      BEAD = 4.2
      LEFT = 15.0
      LINE = 6.2
      # Every fifth bead stands a little apart, to count by.
      FIFTH = 1.2
      GROUP = 5

      # @param loading [Array<(Integer, Array<(Core::Catalogue::Part, Integer)>)>] strands with their runs
      def initialize(loading)
        @loading = loading
      end

      # @return [String]
      def to_s
        top = 0.0
        drawn = @loading.map { |strand, runs|
          rows = runs.flat_map { |part, count| [part] * count }.each_slice(on_a_line).to_a
          strand(strand, rows, top).tap { top += (rows.size * LINE) + 1.5 }
        }
        page(top + CHECK, Wording.say('loading_card.title', count: @loading.size), drawn.join + check_bar(0.5, top + CHECK - 2))
      end

      private

      # @return [Integer] whole groups
      def on_a_line
        ((WIDEST - LEFT) / ((BEAD * GROUP) + FIFTH)).floor * GROUP
      end

      def strand(number, rows, top)
        box = stroke("M0.5 #{n(top + 0.6)}h4.6v4.6h-4.6z")
        box + words(number, 11.5, top + 4.6, size: 4.4, anchor: 'end', bold: true) +
          rows.each_with_index.map { |parts, row| beads(parts, top + (row * LINE)) }.join
      end

      def beads(parts, top)
        parts.each_with_index.map { |part, i|
          x = LEFT + ((i + 0.5) * BEAD) + ((i / GROUP) * FIFTH)
          bead(part, x, top + (LINE / 2))
        }.join
      end

      def bead(part, x_mm, y_mm)
        ink = PieceSvg.dark?(part.colour) ? '#ffffff' : INK
        %(<circle cx="#{n(x_mm)}" cy="#{n(y_mm)}" r="#{n((BEAD / 2) - 0.2)}" fill="#{PieceSvg::COLOUR.(part)}" stroke="#{INK}" ) +
          %(stroke-width="0.25"/><text x="#{n(x_mm)}" y="#{n(y_mm + 0.9)}" font-size="2.5" text-anchor="middle" fill="#{ink}" ) +
          %(font-weight="700">#{h(part.mark)}</text>)
      end
    end
  end
end
