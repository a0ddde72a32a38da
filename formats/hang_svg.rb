# frozen_string_literal: true

module Formats
  # How a necklace hangs, from the front: the sides of the neck, what lies behind it, and what hangs before it.
  class HangSvg
    include SvgText

    MARGIN = 8.0
    # The neck is drawn so far up from where the necklace leaves it, in its own widths.
    UP = 0.55

    # @param hang [Core::Sizing::Hang] @param title [String] what a reader who cannot see it is told
    def initialize(hang, title:)
      @hang = hang
      @title = title
    end

    # @return [String]
    def to_s
      wide = @hang.span + (4 * MARGIN)
      top = -(@hang.span * UP) - MARGIN
      high = @hang.fall - top + MARGIN
      %(<svg viewBox="#{n(-2 * MARGIN)} #{n(top)} #{n(wide)} #{n(high)}" role="img" aria-label="#{h(@title)}" class="hang">) +
        %(#{neck}#{behind}#{line}#{beads}#{fall}</svg>)
    end

    private

    def beads
      PieceSvg.new(@hang.layout, title: '', span_mm: 1, labels: false, ruler: false, lit: true).drawn
    end

    def neck
      top = -@hang.span * UP
      %(<path d="M0 #{n(top)}V0Q0 #{n(@hang.span * 0.12)} #{n(-1.6 * MARGIN)} #{n(@hang.span * 0.2)}M#{n(@hang.span)} #{n(top)}V0) +
        %(Q#{n(@hang.span)} #{n(@hang.span * 0.12)} #{n(@hang.span + (1.6 * MARGIN))} #{n(@hang.span * 0.2)}" class="neck"/>)
    end

    def behind
      half = @hang.span / 2
      %(<path d="M0 0A#{n(half)} #{n(half * 0.45)} 0 0 1 #{n(@hang.span)} 0" class="behind"/>)
    end

    def line
      %(<path d="#{@hang.way.each_with_index.map { |(x, y), i| "#{i.zero? ? 'M' : 'L'}#{n(x)} #{n(y)}" }.join}" class="hung-line"/>)
    end

    def fall
      at = @hang.span + MARGIN
      %(<path d="M#{n(at)} 0v#{n(@hang.fall)}m-2 0h4M#{n(at - 2)} 0h4" class="hung-line"/>)
    end
  end
end
