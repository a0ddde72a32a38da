# frozen_string_literal: true

module Formats
  # The piece as it is after one step, where the work is: what the step puts on in full, what was there before pale, and nothing of what
  # comes later.
  class StateSvg
    include SvgText

    # Shown beside what is new, and at the least, in millimetres.
    AROUND = 7.0
    FEWEST_MM = 50.0
    LOWEST_MM = 10.0
    # Above and below.
    OVER = 2.5
    PIXELS = 6.0
    WIDEST = 620
    PALE = 0.3

    # @param moment [Core::Sizing::WorkState::Moment] @param title [String] what it shows
    def initialize(moment, title:)
      @moment = moment
      @title = title
      @left, @right = spread(moment.added.map { |shape| [shape.x, half(shape, :wide)] }, FEWEST_MM, AROUND)
      @top, @bottom = spread(moment.added.map { |shape| [shape.y, half(shape, :high)] }, LOWEST_MM, OVER)
    end

    # @return [String]
    def to_s
      scale = [PIXELS, WIDEST / (@right - @left)].min
      %(<svg viewBox="#{n(@left)} #{n(@top)} #{n(@right - @left)} #{n(@bottom - @top)}" width="#{n((@right - @left) * scale)}" ) +
        %(height="#{n((@bottom - @top) * scale)}" role="img" aria-label="#{h(@title)}" class="state-picture">#{clip}) +
        %(<g clip-path="url(##{id})">#{drawn(before, %( opacity="#{PALE}"))}#{drawn(@moment.added)}</g></svg>)
    end

    private

    # From edge to edge of what is new, no narrower than it can be read.
    def spread(places, fewest, around)
      from = places.map { |at, half| at - half }.min - around
      to = places.map { |at, half| at + half }.max + around
      lacking = [(fewest - (to - from)) / 2, 0].max
      [from - lacking, to + lacking]
    end

    def half(shape, way)
      return shape.reach - shape.y.abs if way == :high

      upright = shape.turn % 180 == 90
      (upright ? shape.across : shape.along) / 2
    end

    def before
      @moment.before.select { |shape|
        (shape.x - half(shape, :wide)) < @right && (shape.x + half(shape, :wide)) > @left
      }
    end

    def drawn(shapes, style = '')
      shapes.empty? ? '' : "<g#{style}>#{PieceSvg.new(shapes, title: '', span_mm: 0, labels: true).drawn}</g>"
    end

    def clip
      %(<clipPath id="#{id}"><rect x="#{n(@left)}" y="#{n(@top)}" width="#{n(@right - @left)}" height="#{n(@bottom - @top)}"/></clipPath>)
    end

    # Pictures of one page that are cut alike share it.
    def id
      "state-#{[@left, @top, @right, @bottom].map { |edge| n(edge) }.join('_').gsub(/[^0-9_]/) { |sign| sign == '-' ? 'm' : 'p' }}"
    end
  end
end
