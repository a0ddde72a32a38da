# frozen_string_literal: true

module Formats
  # One end of cords, of a rope or of a braid, enlarged: what stands on it from the piece outward, how many strands run in each, and the
  # numbers that hands need. Mirrored for the end that lies on the left, or for a left-hander.
  class CordEndSvg
    include SvgText

    PIXELS = 13
    WIDEST = 460
    MARGIN = 1.5
    # Strands before the end, beyond it, and the least that a loop is drawn wide.
    BEFORE = 7.0
    AFTER = 6.0
    ROUND = 0.62
    # Beside each other, strands take no more than this.
    MOST_HIGH = 9.0
    # Turns of a whipping that are drawn one by one.
    MOST_TURNS = 24
    WORDS = 11.0
    INK = '#12161f'
    PALE = '#e4e6eb'

    # @param made [Core::Making::CordEnd] @param title [String]
    def initialize(made, title:, mirrored: false)
      @made = made
      @title = title
      @mirrored = mirrored
      @thick = made.line.thickness.to_mm
      @apart = [@thick * 1.05, MOST_HIGH / made.lines].min
      edge = BEFORE
      @placed = made.items.map { |item| [item, edge, edge += long(item)] }
      @end = edge
    end

    # @return [String]
    def to_s
      turn = @mirrored ? %( transform="translate(#{n(wide)} 0) scale(-1 1)") : ''
      %(<svg viewBox="#{n(-MARGIN)} #{n(-half)} #{n(wide + (2 * MARGIN))} #{n(high)}" width="#{n((wide + (2 * MARGIN)) * scale)}" ) +
        %(height="#{n(high * scale)}" role="img" aria-label="#{h(@title)}" class="end-picture"><g#{turn}>#{drawn}</g>#{labels}</svg>)
    end

    private

    def drawn
      # What holds a loop lies over its feet.
      loops_first = @placed.partition { |item, _, _| item.kind == :loop }.flatten(1)
      strands(0.0, reach) + loops_first.map { |item, from, to| shape(item, from, to) }.join
    end

    # Strands run on to the last thing that they go through: in a loop they turn, in a socket they end.
    def reach
      last, from, to = @placed.last
      case last&.kind
      when :loop, :held then from
      when :socket then from + ((to - from) * 0.8)
      else @end + AFTER
      end
    end

    def long(item)
      item.kind == :loop ? item.inside.to_mm + (@thick * ((@made.lines + 1) / 2)) : item.length.to_mm
    end

    def wide
      @wide ||= [@end, reach].max + 1.0
    end

    def scale
      @scale ||= [PIXELS, WIDEST / (wide + (2 * MARGIN))].min
    end

    # Words have one size on paper, at every scale.
    def type
      @type ||= WORDS / scale
    end

    def bundle
      @bundle ||= (@apart * (@made.lines - 1)) + @thick
    end

    def half
      @half ||= ([bundle, *@placed.map { |item, _, _| across(item) }].max * 0.55) + MARGIN
    end

    def high
      (half * 2) + (type * 1.6)
    end

    def across(item)
      case item.kind
      when :knot then bundle * 1.8
      when :loop then (item.inside.to_mm * ROUND) + (bundle * 1.2)
      when :band then bundle + (@thick * 0.4)
      when :socket then [item.part.outer.to_mm, bundle + 1.0].max
      else item.part.outer.to_mm
      end
    end

    # @return [Array<Float>] how far from the middle each strand lies
    def lanes
      (0...@made.lines).map { |i| (i - ((@made.lines - 1) / 2.0)) * @apart }
    end

    def strands(from, to)
      lanes.map { |y| cord("M#{n(from)} #{n(y)}H#{n(to)}") }.join
    end

    # A strand has an edge, so that strands beside each other can be counted.
    def cord(path)
      [[INK, @thick * 0.98], [@made.line.colour, [@thick * 0.7, @thick - 0.6].max]].map { |colour, thick|
        %(<path d="#{path}" fill="none" stroke="#{h(colour)}" stroke-width="#{n(thick)}" stroke-linejoin="round"/>)
      }.join
    end

    def shape(item, from, to)
      case item.kind
      when :knot then knot(from, to, across(item))
      when :loop then loop_of(item, from)
      when :band then band(item, from, to)
      when :socket then socket(from, to, across(item))
      when :held then part(item, from, to) + fold(from)
      else part(item, from, to)
      end
    end

    # Over itself and through: two turns seen from the front.
    def knot(from, to, across)
      long = to - from
      middle, y = (from + to) / 2, across / 2
      colour = h(@made.line.colour)
      turns = [-0.18, 0.18].map { |aside|
        x = middle + (long * aside)
        %(<path d="M#{n(x - (long * 0.16))} #{n(-y * 0.95)}C#{n(x + (long * 0.2))} #{n(-y * 0.4)} #{n(x - (long * 0.2))} #{n(y * 0.4)} ) +
          %(#{n(x + (long * 0.16))} #{n(y * 0.95)}" fill="none" stroke="#{INK}" stroke-width="#{n([long * 0.04, 0.2].max)}"/>)
      }.join
      %(<rect x="#{n(from)}" y="#{n(-y)}" width="#{n(long)}" height="#{n(across)}" rx="#{n([long, across].min * 0.42)}" ) +
        %(fill="#{colour}" stroke="#{INK}" stroke-width="0.25"/>#{turns})
    end

    # Strands lie in it as folds, one inside the other; one that is over ends beside the knot.
    def loop_of(item, from)
      tall = item.inside.to_mm * ROUND / 2
      (0...(@made.lines / 2)).map { |i|
        y = @made.lines.odd? ? (i + 1) * @apart : (i + 0.5) * @apart
        out = from + item.inside.to_mm + (@thick * (i + 0.5))
        up = tall + (@thick * (i + 0.5))
        cord("M#{n(from - 0.5)} #{n(-y)}C#{n(from + (item.inside.to_mm * 0.25))} #{n(-up * 1.2)} #{n(out)} #{n(-up * 1.2)} #{n(out)} 0" \
             "S#{n(from + (item.inside.to_mm * 0.25))} #{n(up * 1.2)} #{n(from - 0.5)} #{n(y)}")
      }.reverse.join
    end

    # One strand goes through the eye and back.
    def fold(from)
      out, y = from + (@thick * 1.6), @thick * 0.9
      cord("M#{n(from - 0.3)} #{n(-y)}C#{n(out)} #{n(-y * 1.4)} #{n(out)} #{n(y * 1.4)} #{n(from - 0.3)} #{n(y)}")
    end

    def band(item, from, to)
      number = [item.number || 1, MOST_TURNS].min
      tall = across(item) / 2
      step = (to - from) / number
      turns = item.number ? (1...number).map { |i| "M#{n(from + (step * i))} #{n(-tall)}v#{n(tall * 2)}" }.join : ''
      %(<rect x="#{n(from)}" y="#{n(-tall)}" width="#{n(to - from)}" height="#{n(tall * 2)}" fill="#{PALE}" stroke="#{INK}" ) +
        %(stroke-width="0.25"/><path d="#{turns}" stroke="#{INK}" stroke-width="#{n([step * 0.18, 0.15].max)}"/>)
    end

    # Cut open, so that the ends show; glue fills what is left.
    def socket(from, to, across)
      y = across / 2
      wall = [across * 0.08, 0.3].max
      inner = to - wall
      glue = (-2..2).map { |i|
        %(<circle cx="#{n(inner - 0.6)}" cy="#{n(i * across * 0.16)}" r="#{n(across * 0.05)}" fill="#{INK}"/>)
      }.join
      %(<path d="M#{n(from)} #{n(-y)}H#{n(to)}V#{n(y)}H#{n(from)}" fill="none" stroke="#{INK}" stroke-width="#{n(wall)}"/>#{glue})
    end

    # As it looks, with the strands in its hole drawn over it as dashes.
    def part(item, from, to)
      shape = Core::Making::Shape.new(item: item.part, role: :part, x: (from + to) / 2, y: 0.0, along: item.part.drawn_along.to_mm,
        across: item.part.outer.to_mm, form: item.part.form)
      hidden = item.kind == :part ? lanes.map { |y| "M#{n(from)} #{n(y)}H#{n(to)}" }.join : ''
      %(<g color="#{INK}">#{PieceSvg::Outlines.of(shape)}</g><path d="#{hidden}" stroke="#ffffff" stroke-width="0.55"/>) +
        %(<path d="#{hidden}" stroke="#{INK}" stroke-width="0.3" stroke-dasharray="0.9 0.6"/>)
    end

    # Below each thing, what hands count or measure.
    def labels
      right = -Float::INFINITY
      @placed.filter_map { |item, from, to| [words(item), from, to] if words(item) }.map { |words, from, to|
        middle = @mirrored ? wide - ((from + to) / 2) : (from + to) / 2
        [words, middle]
      }.sort_by(&:last).map { |words, middle|
        room = words.size * type * 0.52
        at = [[middle, room / 2].max, wide - (room / 2)].min
        at = [at, right + (room / 2) + type].max
        right = at + (room / 2)
        %(<text x="#{n(at)}" y="#{n(half + type)}" font-size="#{n(type)}" text-anchor="middle" fill="#{INK}">#{h(words)}</text>)
      }.join
    end

    def words(item)
      case item.kind
      when :loop then say(:inside, inside: item.inside)
      when :band then item.number && say(:turns, count: item.number)
      when :knot then knot_words(item.number || @made.lines) unless item.beyond
      when :socket then say(:glued_in, count: @made.lines)
      end
    end

    def knot_words(strands)
      say(:knot_of, count: strands) if strands > 1
    end

    def say(key, **values)
      Wording.say("cord_end_picture.#{key}", **values)
    end
  end
end
