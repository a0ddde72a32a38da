# frozen_string_literal: true

module Formats
  class PieceSvg
    # What stands about the piece: the ruler, numbered pins, and marks such as the finished size.
    module Ruler
      private

      def ruler
        y = half_height + 2
        %(<g class="ruler"><path d="M0 #{n(y)}h#{n(@span)}" stroke="currentColor" stroke-width="0.3" ) +
          %(fill="none"/>#{@unit == :in ? inch_ticks(y) : mm_ticks(y)}</g>)
      end

      # Pins that would lie on each other go into rows. @return [Array<(Pin, Integer)>]
      def stack(pins)
        edges = []
        pins.sort_by(&:at).map do |pin|
          row = edges.index { |edge| pin.at - edge > 9 * scale } || edges.size
          edges[row] = pin.at
          [pin, row]
        end
      end

      def pins_height
        @pins.empty? ? 0 : ((@pins.map(&:last).max + 1) * PIN * scale) + 1
      end

      def pins
        @pins.map do |pin, row|
          base = -half_height - marks_height
          y = base - ((row + 0.5) * PIN * scale)
          %(<g class="mark mark-#{pin.status}"><path d="M#{n(pin.at)} #{n(y + (2 * scale))}V#{n(-half_height * 0.4)}" ) +
            %(stroke="currentColor" stroke-width="0.25" fill="none"/>) +
            %(<path d="#{MARK_PATHS.fetch(pin.status)}" transform="translate(#{n(pin.at)} #{n(y)}) scale(#{n(scale)})" ) +
            %(stroke="currentColor" stroke-width="0.8" fill="none"/>) +
            %(<text x="#{n(pin.at + (2.6 * scale))}" y="#{n(y + (1.2 * scale))}" font-size="#{n(3.4 * scale)}" fill="currentColor" ) +
            %(font-weight="700">#{h(pin.text)}</text></g>)
        end.join
      end

      def centre_line
        return unless @centre

        %(<g class="centre"><path d="M#{n(@centre)} #{n(-half_height - 1)}V#{n(half_height + 2)}" stroke="currentColor" ) +
          %(stroke-width="0.3" stroke-dasharray="2 0.8 0.5 0.8" fill="none"/></g>)
      end

      def mm_ticks(top)
        labelled = 20 * scale.ceil
        (0..(@span / 5).floor).map do |i|
          at = i * 5
          tick(at, top, (at % 10).zero? ? 3 : 1.6) + ((at % labelled).zero? ? number(at, top, at.zero? ? '0 mm' : at.to_s) : '')
        end.join
      end

      def inch_ticks(top)
        (0..(@span / 3.175).floor).map do |i|
          at = i * 3.175
          length = if (i % 8).zero? then 3
                   else i.even? ? 2.2 : 1.3
                   end
          tick(at, top, length) + ((i % 8).zero? ? number(at, top, i.zero? ? '0 in' : (i / 8).to_s) : '')
        end.join
      end

      def tick(at, top, length)
        %(<path d="M#{n(at)} #{n(top)}v#{n(length * scale)}" stroke="currentColor" stroke-width="0.25" fill="none"/>)
      end

      def number(at, top, text)
        %(<text x="#{n(at)}" y="#{n(top + (6.6 * scale))}" font-size="#{n(3.2 * scale)}" text-anchor="#{at.zero? ? 'start' : 'middle'}" ) +
          %(fill="currentColor">#{text}</text>)
      end

      def marks
        first, *others = @marks.sort_by(&:at)
        [(mark(first, 'end', -3) if first), *others.map { |mark| runs_over?(mark) ? mark(mark, 'end', -3,
          LIFT) : mark(mark, 'start', 3) }].join
      end

      def runs_over?(mark)
        mark.at + (scale * (3 + (mark.text.length * 3.4 * LETTER))) > @span + MARGIN
      end

      def marks_height
        return 1 if @marks.empty?

        (MARKS + (@marks.sort_by(&:at).drop(1).any? { |mark| runs_over?(mark) } ? LIFT : 0)) * scale
      end

      # Verdicts at the upper edge; the size asked for is a line across.
      def mark(mark, anchor, aside, lift = 0)
        top = -half_height - (6 * scale)
        line = %(<path d="M#{n(mark.at)} #{n(top + (2 * scale))}V#{n(half_height + 5)}" stroke="currentColor" stroke-width="0.3" ) +
               %(#{'stroke-dasharray="1.2 0.8"' if mark.status == :asked} fill="none"/>)
        words = %(<text x="#{n(mark.at + (aside * scale))}" y="#{n(top + ((1.2 - lift) * scale))}" font-size="#{n(3.4 * scale)}" ) +
                %(text-anchor="#{anchor}" fill="currentColor">#{h(mark.text)}</text>)
        %(<g class="mark mark-#{mark.status}">#{line}#{ring(mark, top)}#{words}</g>)
      end

      def ring(mark, top)
        return '' if mark.status == :asked

        %(<path d="#{MARK_PATHS.fetch(mark.status)}" transform="translate(#{n(mark.at)} #{n(top)}) scale(#{n(scale)})" ) +
          %(stroke="currentColor" stroke-width="0.8" fill="none"/>)
      end
    end
  end
end
