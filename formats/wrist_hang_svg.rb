# frozen_string_literal: true

module Formats
  # How a bracelet hangs from an arm held level, seen along the arm.
  class WristHangSvg
    include SvgText

    MARGIN = 8.0

    # @param hang [Core::Sizing::WristHang] @param title [String] what a reader who cannot see it is told
    def initialize(hang, title:)
      @hang = hang
      @title = title
    end

    # @return [String]
    def to_s
      half = @hang.span / 2
      wide = @hang.span + (4 * MARGIN)
      high = @hang.span + @hang.gap + (5 * MARGIN)
      %(<svg viewBox="#{n(-2 * MARGIN)} #{n(-half - (2 * MARGIN))} #{n(wide)} #{n(high)}" role="img" ) +
        %(aria-label="#{h(@title)}" class="hang">) +
        %(<circle cx="#{n(half)}" cy="0" r="#{n(half)}" class="neck"/>#{line}#{beads}</svg>)
    end

    private

    def beads
      PieceSvg.new(@hang.layout, title: '', span_mm: 1, labels: false, ruler: false, lit: true).drawn
    end

    def line
      %(<path d="#{@hang.way.each_with_index.map { |(x, y), i| "#{i.zero? ? 'M' : 'L'}#{n(x)} #{n(y)}" }.join}" class="hung-line"/>)
    end
  end
end
