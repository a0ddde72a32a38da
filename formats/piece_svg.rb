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
    # @param lit [Boolean] with light on it, as it looks in the hand; the page or file then needs Light.definitions
    # @param handles [#call, nil] of a shape that can be chosen: whether it is; nil where none can
    # @param true_size [Boolean] whether it is printed so that a millimetre of it is a millimetre on paper
    # @param shared [SharedShapes, nil] where outlines are drawn once for several drawings
    def initialize(layout, title:, span_mm:, unit: :mm, marks: [], labels: true, ruler: true, shared: nil, centre: nil, pins: [],
                   lit: false, handles: nil, true_size: false)
      @true_size = true_size
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
      @lit = lit
      @handles = handles
    end

    # Relative luminance by the sRGB weights of WCAG 2.
    # @param colour '#rrggbb' @return [Boolean] whether what is written on it must be white
    def self.dark?(colour)
      linear = colour.scan(/\h\h/).map { |pair| (pair.hex / 255.0)**2.2 }
      (linear[0] * 0.2126) + (linear[1] * 0.7152) + (linear[2] * 0.0722) < 0.25
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
      new([shape], title: shape.item.name, span_mm: width, labels: false, ruler: false, lit: true).bare(width, height, scale)
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
      root = %(viewBox="#{n(-MARGIN)} #{n(top)} #{n(@span + (2 * MARGIN))} #{n(height)}" role="img" ) +
             %(aria-label="#{h(@title)}" class="piece#{' at-true-size' if @true_size}")
      root = %(xmlns="http://www.w3.org/2000/svg" width="#{n(@span + (2 * MARGIN))}mm" height="#{n(height)}mm" color="#1d2433" ) +
             root.to_s if standalone
      %(<svg #{root}>#{Light.definitions if standalone && @lit}#{shapes}#{ruler if @ruler}#{centre_line}#{marks}#{pins}</svg>)
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
      outline = @shared && shape.role != :line ? refer(shape) : turn(shape, drawn_once(shape, light_on(shape)))
      label = @labels && shape.role != :line && shape.along >= 5 && !HOLLOW.include?(shape.form) ? text_on(shape) : ''
      @handles && shape.owner && shape.role != :line ? handle(shape, outline + label) : outline + label
    end

    # What can be chosen says what it was made of.
    def handle(shape, drawn)
      ring = @handles.call(shape) ? turn(shape, Outlines.of(shape, Outlines::CHOSEN)) : ''
      %(<g class="handle" data-owner="#{h(shape.owner)}" data-part="#{h(shape.item.key)}">#{drawn}#{ring}</g>)
    end

    def refer(shape)
      light = light_on(shape)
      @shared.refer(shape, light, turned: turned?(shape)) { |at_origin| drawn_once(at_origin, light) }
    end

    def light_on(shape)
      Light.side(shape) if @lit
    end

    def drawn_once(shape, light)
      light ? Outlines.of(shape) + Light.over(shape, light) : Outlines.of(shape)
    end

    def turn(shape, drawn)
      turned?(shape) ? %(<g transform="rotate(#{n(shape.turn)} #{n(shape.x)} #{n(shape.y)})">#{drawn}</g>) : drawn
    end

    # Most things look the same from both ends.
    def turned?(shape)
      return false if Outlines.round?(shape)

      shape.turn % 180 != 0 || (shape.turn == 180 && ONE_WAY.include?(shape.form))
    end

    HOLLOW = %i[ring loop clasp chain hook arc].freeze
    # What looks otherwise from the other end.
    ONE_WAY = %i[clasp hook drop path pin arc].freeze
    N = ->(number) { format(NUMBER, number).sub(/\.?0+\z/, '') }
    COLOUR = ->(item) { CGI.escapeHTML(item.colour.to_s) }

    def text_on(shape)
      ink = PieceSvg.dark?(shape.item.colour) ? '#ffffff' : '#12161f'
      size = [shape.across * 0.42, shape.along * 0.6, 4.4].min
      %(<text x="#{n(shape.x)}" y="#{n(shape.y + (size * 0.35))}" font-size="#{n(size)}" text-anchor="middle" fill="#{ink}" ) +
        %(font-weight="700">#{h(shape.item.mark)}</text>)
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
