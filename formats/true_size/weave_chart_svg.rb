# frozen_string_literal: true

module Formats
  module TrueSize
    # Flowers in the order in which they are woven: each with its number, the letter of its petals and a box to tick.
    class WeaveChartSvg
      include Sheet

      CELL = 11.0
      LINE = 22.0
      # Every fifth flower stands a little apart, to count by.
      GROUP = 5
      APART = 3.0
      PETALS = 6

      # @param chart [Core::Making::WeaveChart]
      def initialize(chart)
        @chart = chart
      end

      # @return [String]
      def to_s
        lines = @chart.petals.each_with_index.each_slice(on_a_line).to_a
        high = lines.size * LINE
        drawn = lines.each_with_index.flat_map { |flowers, row|
          flowers.each_with_index.map { |(petal, number), place| flower(petal, number + 1, left(place), row * LINE) } }
        page(high + CHECK, Wording.say('weave_chart.title', count: @chart.petals.size), drawn.join + check_bar(0.5, high + CHECK - 2))
      end

      private

      # @return [Integer] whole groups
      def on_a_line
        (WIDEST / ((CELL * GROUP) + APART)).floor * GROUP
      end

      def left(place)
        (place * CELL) + ((place / GROUP) * APART)
      end

      def flower(petal, number, left, top)
        middle = left + (CELL / 2)
        words(number, middle, top + 3, size: 2.8, anchor: 'middle') + blossom(petal, middle, top + 9) +
          stroke("M#{n(middle - 2.2)} #{n(top + 15)}h4.4v4.4h-4.4z")
      end

      # The letter of its petals stands in the middle, so that it can be read in black and white.
      def blossom(petal, x_mm, y_mm)
        round = (0...PETALS).map { |i|
          angle = (i + 0.5) * 2 * Math::PI / PETALS
          %(<circle cx="#{n(x_mm + (3.1 * Math.cos(angle)))}" cy="#{n(y_mm + (3.1 * Math.sin(angle)))}" r="1.5" ) +
            %(fill="#{PieceSvg::COLOUR.(petal)}" stroke="#{INK}" stroke-width="0.2"/>)
        }
        round.join + words(petal.mark, x_mm, y_mm + 1, size: 3, anchor: 'middle', bold: true)
      end
    end
  end
end
