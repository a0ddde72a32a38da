# frozen_string_literal: true

module Formats
  module TrueSize
    # What drawings at true size share: millimetres as units, and a bar to check the printer's scale.
    module Sheet
      include SvgText

      INK = '#12161f'
      PALE = '#e4e6eb'
      CHECK_BAR = 50.0
      # Fits A4 and Letter with their margins.
      WIDEST = 180.0
      MARGIN = 2.0
      # Below a drawing, for the bar.
      CHECK = 6.0

      private

      # @param high [Float] millimetres @param words [String] what a reader who cannot see it is told
      def page(high, words, drawn, wide: WIDEST)
        whole = wide + (MARGIN * 2)
        %(<svg viewBox="#{n(-MARGIN)} #{n(-MARGIN)} #{n(whole)} #{n(high + (MARGIN * 2))}" width="#{n(whole)}mm" ) +
          %(height="#{n(high + (MARGIN * 2))}mm" role="img" aria-label="#{h(words)}" class="true-size">#{drawn}</svg>)
      end

      def stroke(path, wide: 0.25, dashes: nil)
        broken = dashes ? %( stroke-dasharray="#{dashes}") : ''
        %(<path d="#{path}" fill="none" stroke="#{INK}" stroke-width="#{wide}"#{broken}/>)
      end

      def words(text, x_mm, y_mm, size: 3.2, anchor: 'start', bold: false)
        weight = bold ? ' font-weight="700"' : ''
        %(<text x="#{n(x_mm)}" y="#{n(y_mm)}" font-size="#{size}" text-anchor="#{anchor}" fill="#{INK}"#{weight}>#{h(text)}</text>)
      end

      def check_bar(x_mm, y_mm)
        stroke("M#{n(x_mm)} #{n(y_mm - 1)}v2m0 -1h#{n(CHECK_BAR)}m0 -1v2") +
          words(Wording.say('peg_board.check'), x_mm + CHECK_BAR + 2, y_mm + 1, size: 2.8)
      end
    end
  end
end
