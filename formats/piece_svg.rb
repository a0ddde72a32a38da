# frozen_string_literal: true

require 'cgi'

module Formats
  # Draws a piece laid flat, to scale, on a ruler. One unit of the drawing is one millimetre.
  class PieceSvg
    include Ruler
    include SvgText

    # A mark along the ruler's edge.
    #
    # @param status :fits, :tight, :will_not or :asked
    # @param at millimetres from the ruler's zero
    Mark = Core::Value.define(:at, :status, :text)

    # A verdict at a place.
    #
    # @param at millimetres from the ruler's zero
    # @param status a key of MARK_PATHS
    # @param text its number
    Pin = Core::Value.define(:at, :status, :text)

    MARGIN = 6.0
    RULER = 13.0
    MARKS = 9.0
    USUAL_SPAN = 240.0
    NUMBER = '%.2f'

    # @param layout [Array<Core::Making::Shape>] @param title [String] what a reader who cannot see it is told
    # @param span_mm [Float] length of the ruler, the same for every drawing that is to be compared
    # @param unit [Symbol] :mm or :in @param marks [Array<Mark>] @param labels [Boolean] whether beads carry their marks
    # @param pins [Array<Pin>] numbered verdicts, drawn above the piece where they lie
    # @param centre [Float, nil] where the middle lies, to be marked
    # @param shared [SharedShapes, nil] where outlines are drawn once for several drawings
    def initialize(layout, title:, span_mm:, unit: :mm, marks: [], labels: true, ruler: true, shared: nil, centre: nil, pins: [])
      @layout = layout
      @title = title
      @span = span_mm
      @unit = unit
      @marks = marks
      @labels = labels
      @ruler = ruler
      @shared = shared
      @centre = centre
      @pins = stack(pins)
    end

    # A line drawn straight, at this many pixels to the millimetre.
    def self.stroke(line, scale)
      height = [line.thickness.to_mm, 0.2].max
      %(<svg viewBox="0 0 8 3" width="#{8 * scale}" height="#{3 * scale}" aria-hidden="true" class="part"><path d="M0.2 1.5h7.6" ) +
        %(stroke="#{COLOUR.(line)}" stroke-width="#{height}"/></svg>)
    end

    # One shape alone, at this many pixels to the millimetre; without one, small enough for a chip.
    # @return [String]
    def self.picture(shape, scale = nil)
      width = shape.along + 1
      height = shape.across + 1
      scale ||= [2.4, 34 / [width, height].max].min
      new([shape], title: shape.item.name, span_mm: width, labels: false, ruler: false).bare(width, height, scale)
    end

    # @return [String] its shapes alone, for a drawing of another frame
    def drawn
      shapes
    end

    def bare(width, height, scale)
      %(<svg viewBox="-0.5 #{n(-height / 2)} #{n(width)} #{n(height)}" width="#{n(width * scale)}" height="#{n(height * scale)}" ) +
        %(aria-hidden="true" class="part">#{shapes}</svg>)
    end

    # @param standalone [Boolean] for a separate file, which carries its colours
    # @return [String]
    def to_s(standalone: false)
      top = -half_height - marks_height - pins_height
      height = half_height - top + (@ruler ? RULER * scale : 1)
      root = %(viewBox="#{n(-MARGIN)} #{n(top)} #{n(@span + (2 * MARGIN))} #{n(height)}" role="img" aria-label="#{h(@title)}" class="piece")
      root = %(xmlns="http://www.w3.org/2000/svg" width="#{n(@span + (2 * MARGIN))}mm" height="#{n(height)}mm" color="#1d2433" ) +
             root.to_s if standalone
      %(<svg #{root}>#{shapes}#{ruler if @ruler}#{centre_line}#{marks}#{pins}</svg>)
    end

    private

    # Words and ticks grow with the ruler, so that a long piece is as legible as a short one.
    def scale
      @scale ||= [@span / USUAL_SPAN, 1.0].max
    end

    def half_height
      @half_height ||= [@layout.map(&:reach).max || 0, 4].max
    end

    def shapes
      @layout.sort_by { |shape| shape.role == :line ? 0 : 1 }.map { |shape| shape(shape) }.join
    end

    def shape(shape)
      outline = @shared && shape.role != :line ? @shared.refer(shape) { |at_origin| outline(at_origin) } : outline(shape)
      label = @labels && shape.role != :line && shape.along >= 5 && !HOLLOW.include?(shape.form) ? text_on(shape) : ''
      outline + label
    end

    def outline(shape)
      drawn = SHAPES.fetch(shape.form) { SHAPES[:round] }.call(shape, fill_of(shape))
      turned?(shape) ? %(<g transform="rotate(#{shape.turn} #{n(shape.x)} #{n(shape.y)})">#{drawn}</g>) : drawn
    end

    # Most things look the same from both ends.
    def turned?(shape)
      shape.turn % 180 != 0 || (shape.turn == 180 && ONE_WAY.include?(shape.form))
    end

    HOLLOW = %i[ring loop clasp chain hook].freeze
    # What looks otherwise from the other end.
    ONE_WAY = %i[clasp hook drop path pin].freeze
    N = ->(number) { format(NUMBER, number).sub(/\.?0+\z/, '') }
    COLOUR = ->(item) { CGI.escapeHTML(item.colour.to_s) }

    RECT = lambda { |s, fill, round|
      %(<rect x="#{N.(s.x - (s.along / 2))}" y="#{N.(s.y - (s.across / 2))}" width="#{N.(s.along)}" height="#{N.(s.across)}" ) +
        %(rx="#{round}" #{fill}/>)
    }
    ELLIPSE = ->(s, fill) { %(<ellipse cx="#{N.(s.x)}" cy="#{N.(s.y)}" rx="#{N.(s.along / 2)}" ry="#{N.(s.across / 2)}" #{fill}/>) }
    RING = lambda { |s, _|
      thick = s.item.respond_to?(:wire) && s.item.wire ? s.item.wire.to_mm : [s.along * 0.14, 0.7].max
      %(<ellipse cx="#{N.(s.x)}" cy="#{N.(s.y)}" rx="#{N.((s.along - thick) / 2)}" ry="#{N.((s.across - thick) / 2)}" fill="none" ) +
        %(stroke="#{COLOUR.(s.item)}" stroke-width="#{N.(thick)}"/>)
    }
    CLASP = lambda { |s, _|
      left = s.x - (s.along / 2)
      mouth = left + (s.along * 0.65)
      %(<rect x="#{N.(left + 0.5)}" y="#{N.(s.y - (s.across / 2) + 0.5)}" width="#{N.(s.along - 1)}" height="#{N.(s.across - 1)}" ) +
        %(rx="#{N.(s.across / 2)}" fill="none" stroke="#{COLOUR.(s.item)}" stroke-width="1.2"/>) +
        %(<path d="M#{N.(mouth)} #{N.(s.y - (s.across / 2))}v#{N.(s.across * 0.55)}" fill="none" stroke="#{COLOUR.(s.item)}" ) +
        %(stroke-width="1"/>)
    }
    HOOK = lambda { |s, _|
      left, round = s.x - (s.along / 2), [s.across, s.along].min * 0.4
      %(<path d="M#{N.(left + 1)} #{N.(s.y)}H#{N.(left + s.along - round)}a#{N.(round / 2)} #{N.(round / 2)} 0 0 1 0 #{N.(round)}) +
        %(h#{N.(-s.along * 0.3)}" ) +
        %(fill="none" stroke="#{COLOUR.(s.item)}" stroke-width="0.9" stroke-linecap="round"/>)
    }
    CHAIN = lambda { |s, _|
      links = [(s.along / 4).round, 1].max
      step = s.along / links
      (0...links).map { |i| %(<ellipse cx="#{N.(s.x - (s.along / 2) + (step * (i + 0.5)))}" cy="#{N.(s.y)}" rx="#{N.(step * 0.55)}" ) +
        %(ry="#{N.(s.across / 2)}" fill="none" stroke="#{COLOUR.(s.item)}" stroke-width="0.7"/>) }.join
    }
    # A line round what hangs in it.
    LOOP = lambda { |s, _|
      %(<ellipse cx="#{N.(s.x)}" cy="#{N.(s.y)}" rx="#{N.(s.along / 2)}" ry="#{N.(s.across / 2)}" fill="none" ) +
        %(stroke="#{COLOUR.(s.item)}" stroke-width="0.5"/>)
    }
    SHAPES = {
      round: ELLIPSE,
      oval: ELLIPSE,
      petal: ELLIPSE,
      bicone: ->(s, fill) { %(<path d="M#{N.(s.x - (s.along / 2))} #{N.(s.y)}L#{N.(s.x)} ) +
        %(#{N.(s.y - (s.across / 2))}L#{N.(s.x + (s.along / 2))} #{N.(s.y)}L#{N.(s.x)} #{N.(s.y + (s.across / 2))}Z" #{fill}/>) },
      drop: lambda { |s, fill|
        left = s.x - (s.along / 2)
        wide = s.across / 2
        %(<path d="M#{N.(left)} #{N.(s.y)}Q#{N.(left + (s.along * 0.45))} #{N.(s.y - (wide * 0.3))} #{N.(left + (s.along * 0.64))} ) +
          %(#{N.(s.y - (wide * 0.9))}A#{N.(s.along * 0.36)} #{N.(wide)} 0 1 1 #{N.(left + (s.along * 0.64))} ) +
          %(#{N.(s.y + (wide * 0.9))}Q#{N.(left + (s.along * 0.45))} #{N.(s.y + (wide * 0.3))} #{N.(left)} #{N.(s.y)}Z" #{fill}/>)
      },
      tube: ->(s, fill) { RECT.(s, fill, 0.5) },
      rounded: ->(s, fill) { RECT.(s, fill, [s.along, s.across].min * 0.4) },
      disc: ->(s, fill) { RECT.(s, fill, 0.9) },
      flat: ->(s, fill) { RECT.(s, fill, 1.5) },
      bar: ->(s, fill) { RECT.(s, fill, 0.8) },
      connector: ->(s, fill) { RECT.(s, fill, 1.2) },
      slider: ->(s, fill) { RECT.(s, fill, 1.0) },
      crimp: ->(s, fill) { RECT.(s, fill, 0.3) },
      cover: ELLIPSE,
      cap: ->(s, fill) { RECT.(s, fill, 2.0) },
      ring: RING,
      loop: LOOP,
      clasp: CLASP,
      hook: HOOK,
      pin: ->(s, fill) { RECT.(s, fill, 0.2) },
      chain: CHAIN,
      knot: ->(s, _) { %(<rect x="#{N.(s.x - (s.along / 2))}" y="#{N.(s.y - (s.across / 2))}" width="#{N.(s.along)}" ) +
        %(height="#{N.(s.across)}" rx="#{N.(s.across / 2)}" fill="#{COLOUR.(s.item)}" stroke="currentColor" stroke-width="0.2"/>) },
      line: ->(s, _) { %(<path d="M#{N.(s.x - (s.along / 2))} #{N.(s.y)}h#{N.(s.along)}" stroke="#{COLOUR.(s.item)}" ) +
        %(stroke-width="#{N.([s.across, 0.4].max)}" fill="none"/>) },
      path: ->(s, _) { %(<path d="#{s.path}" transform="translate(#{N.(s.x)} #{N.(s.y)})" stroke="#{COLOUR.(s.item)}" ) +
        %(stroke-width="#{N.([s.across, 0.4].max)}" fill="none" stroke-linecap="round"/>) }
    }.freeze

    def fill_of(shape)
      %(fill="#{COLOUR.(shape.item)}" stroke="currentColor" stroke-width="0.25")
    end

    def text_on(shape)
      ink = dark?(shape.item.colour) ? '#ffffff' : '#12161f'
      size = [shape.across * 0.42, shape.along * 0.6, 4.4].min
      %(<text x="#{n(shape.x)}" y="#{n(shape.y + (size * 0.35))}" font-size="#{n(size)}" text-anchor="middle" fill="#{ink}" ) +
        %(font-weight="700">#{h(shape.item.mark)}</text>)
    end

    # Relative luminance by the sRGB weights of WCAG 2.
    def dark?(colour)
      linear = colour.scan(/\h\h/).map { |pair| (pair.hex / 255.0)**2.2 }
      (linear[0] * 0.2126) + (linear[1] * 0.7152) + (linear[2] * 0.0722) < 0.25
    end

    PIN = 5.2

    # A second row of words, where there is no room for them to the right.
    LIFT = 4.6
    # Width of a letter for each unit of its size, about.
    LETTER = 0.52

    CIRCLE = 'M1.8 0A1.8 1.8 0 1 1 -1.8 0A1.8 1.8 0 1 1 1.8 0'
    # Marks about the origin, told apart by form alone: a tick, a hatched half, a cross, a broken ring with a dot, a bar, an eye, three
    # dots.
    MARK_PATHS = {
      fits: "#{CIRCLE}M-0.9 0.1L-0.2 0.8L1 -0.7",
      tight: "#{CIRCLE}M0 -1.8V1.8M0 -1.2H1.3M0 -0.4H1.75M0 0.4H1.75M0 1.2H1.3",
      will_not: "#{CIRCLE}M-0.85 -0.85L0.85 0.85M0.85 -0.85L-0.85 0.85",
      press: "#{CIRCLE}M-1 0H1",
      watch: "#{CIRCLE}M0.6 0A0.6 0.6 0 1 1 -0.6 0A0.6 0.6 0 1 1 0.6 0",
      unknown: 'M-0.7 -1.66A1.8 1.8 0 0 1 0.7 -1.66M1.66 -0.7A1.8 1.8 0 0 1 1.66 0.7' \
               'M0.7 1.66A1.8 1.8 0 0 1 -0.7 1.66M-1.66 0.7A1.8 1.8 0 0 1 -1.66 -0.7M0 0h0.01',
      awaited: 'M-1.4 0h0.01M0 0h0.01M1.4 0h0.01'
    }.freeze
  end
end
