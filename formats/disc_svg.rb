# frozen_string_literal: true

module Formats
  # A braiding disc from above: its slots, a dot at each quarter, the strands in their pairs with the numbers by which they are loaded, and
  # the first two moves with the turn that follows. Mirrored for the left hand; numbers stay upright.
  class DiscSvg
    include SvgText

    OUTER = 46.0
    INNER = 9.0
    SLOT = 6.0
    NUMBER = 51.0
    HALF = 58.0
    INK = '#12161f'

    # @param start [Core::Making::DiscStart] @param title [String] what a reader who cannot see it is told
    def initialize(start, title:, mirrored: false)
      @start = start
      @title = title
      @way = mirrored ? -1 : 1
    end

    # @return [String]
    def to_s
      %(<svg viewBox="#{-HALF} #{-HALF} #{2 * HALF} #{2 * HALF}" width="#{n(2 * HALF * 4)}" height="#{n(2 * HALF * 4)}" role="img" ) +
        %(aria-label="#{h(@title)}" class="disc">#{disc}#{slots}#{dots}#{strands}#{moves}</svg>)
    end

    private

    # Slot 1 stands to the right of the top, as seen with the first pair astride it.
    # @return [(Float, Float)] at a radius
    def at(slot, radius)
      angle = (2 * Math::PI * (slot - 0.5) / Core::Making::DiscStart::SLOTS) * @way
      [radius * Math.sin(angle), -radius * Math.cos(angle)]
    end

    def line(path, wide, **rest)
      more = rest.map { |name, value| %( #{name.to_s.tr('_', '-')}="#{value}") }.join
      %(<path d="#{path}" fill="none" stroke="#{INK}" stroke-width="#{wide}"#{more}/>)
    end

    def disc
      [OUTER, INNER].map { |radius| %(<circle r="#{radius}" fill="#fff" stroke="#{INK}" stroke-width="0.6"/>) }.join
    end

    def slots
      line((1..Core::Making::DiscStart::SLOTS).map { |slot| between(slot, OUTER, OUTER - SLOT) }.join, 0.35)
    end

    def between(slot, from, to)
      [from, to].each_with_index.map { |radius, i|
        x, y = at(slot, radius)
        "#{i.zero? ? 'M' : 'L'}#{n(x)} #{n(y)}"
      }.join
    end

    def dots
      [0, 8, 16, 24].map { |slot|
        x, y = at(slot + 0.5, OUTER - SLOT - 4)
        %(<circle cx="#{n(x)}" cy="#{n(y)}" r="1.3" fill="#{INK}"/>)
      }.join
    end

    def strands
      @start.pairs.flat_map { |pair| pair.slots.zip([pair.left, pair.right]) }.map { |slot, number| strand(slot, number) }.join
    end

    def strand(slot, number)
      x, y = at(slot, NUMBER)
      line(between(slot, OUTER, INNER), 1.1) +
        %(<circle cx="#{n(x)}" cy="#{n(y)}" r="3.9" fill="#fff" stroke="#{INK}" stroke-width="0.5"/>) +
        %(<text x="#{n(x)}" y="#{n(y + 1.5)}" font-size="4.2" text-anchor="middle" font-weight="700" fill="#{INK}">#{number}</text>)
    end

    # Strand 1 goes down beside the bottom pair, strand 2 up beside the top pair; then the disc is turned.
    def moves
      top, bottom = @start.pairs.values_at(0, @start.pairs.size / 2)
      arrow(at(top.slots.first, OUTER - SLOT), at(bottom.slots.last + 1, OUTER - SLOT)) +
        arrow(at(bottom.slots.first, OUTER - SLOT), at(top.slots.last + 1, OUTER - SLOT)) + turn
    end

    def arrow(from, to)
      length = Math.hypot(to[0] - from[0], to[1] - from[1])
      ahead = [(to[0] - from[0]) / length, (to[1] - from[1]) / length]
      line("M#{n(from[0])} #{n(from[1])}L#{n(to[0])} #{n(to[1])}#{head(to, ahead)}", 0.9, stroke_dasharray: '3 1.5')
    end

    def head(tip, (ahead_x, ahead_y))
      [1, -1].map { |side|
        x = tip[0] - (3 * ahead_x) + (side * 1.8 * ahead_y)
        y = tip[1] - (3 * ahead_y) - (side * 1.8 * ahead_x)
        "M#{n(x)} #{n(y)}L#{n(tip[0])} #{n(tip[1])}"
      }.join
    end

    # The next pair, clockwise, comes to the top.
    def turn
      radius = 26
      from, to = [4.5, 1.0].map { |slot| at(slot, radius) }
      sweep = @way.positive? ? 0 : 1
      line("M#{n(from[0])} #{n(from[1])}A#{radius} #{radius} 0 0 #{sweep} #{n(to[0])} #{n(to[1])}#{head(to, [-@way, 0.0])}", 1.1)
    end
  end
end
