# frozen_string_literal: true

require 'zlib'

module Formats
  # A piece as it is worn, small: closed to a ring, or hanging. For choosing by eye; nothing is measured on it.
  class WornSvg
    include SvgText

    MARGIN = 1.5
    # A line is drawn round the ring in pieces this long, in degrees.
    PIECE = 5.0
    # Between turns of a piece that goes round several times, in its own heights.
    APART = 1.3

    # @param piece [Core::Sizing::Piece] @param title [String] what a reader who cannot see it is told
    # @param lit [Boolean] with light on it, see PieceSvg
    def initialize(piece, title:, lit: true)
      @lit = lit
      @piece = piece
      @title = title
      @length = [piece.laid_flat.to_mm, 1.0].max
      @turn = @length / piece.wraps
      @radius = @turn / (2 * Math::PI)
    end

    # @return [String]
    def to_s
      shapes = @piece.round ? @piece.layout.flat_map { |shape| bent(shape) } : @piece.layout.map { |shape| hanging(shape) }
      left, right, top, bottom = box(shapes)
      shared = SharedShapes.new("w#{Zlib.crc32([@title, @length].join(' ')).to_s(36)}-")
      drawn = PieceSvg.new(shapes, title: '', span_mm: 1, labels: false, ruler: false, lit: @lit, shared: shared).drawn
      %(<svg viewBox="#{[left, top, right - left, bottom - top].map { |one| n(one) }.join(' ')}" role="img" ) +
        %(aria-label="#{h(@title)}" class="worn">#{shared.drawn}#{drawn}</svg>)
    end

    private

    def bent(shape)
      return path(shape) if shape.form == :path
      return line(shape) if shape.form == :line

      turned(shape)
    end

    # The clasp lies at the top; what hangs, hangs outward.
    # @return [(Float, Float, Float)] where it lies, and the direction along the ring there, in degrees
    def place(along, aside)
      angle = (2 * Math::PI * along / @turn) - (Math::PI / 2)
      reach = @radius + aside + (along / @turn * pitch)
      [reach * Math.cos(angle), reach * Math.sin(angle), (angle * 180 / Math::PI) + 90]
    end

    def pitch
      @pitch ||= @piece.wraps == 1 ? 0.0 : (@piece.layout.reject { |shape| shape.role == :line }.map(&:across).max || 3.0) * APART
    end

    # What is short stays straight.
    def line(shape)
      return turned(shape) if shape.along < 4 * @turn * PIECE / 360

      half = shape.along / 2
      path(shape.with(form: :path, path: format('M%.2f 0L%.2f 0', -half, half)))
    end

    # Bent with the ring; what was turned by itself, as the wire round a leaf is, keeps its form and turns on.
    def path(shape)
      return turned(shape) unless shape.turn.zero? && FlatPath.known?(shape.path)

      [redrawn(shape) { |stretch| finely(stretch).map { |x, y| place(x, y).first(2) } }]
    end

    # @yieldparam stretch [Array<(Float, Float)>] points of the piece laid flat @yieldreturn where they lie now
    def redrawn(shape)
      drawn = FlatPath.points(shape.path).map { |stretch|
        points = yield stretch.map { |x, y| [x + shape.x, y + shape.y] }
        points.each_with_index.map { |(x, y), i| format('%s%.2f %.2f', i.zero? ? 'M' : 'L', x, y) }.join
      }
      shape.with(x: 0.0, y: 0.0, path: drawn.join)
    end

    def turned(shape)
      x, y, degrees = place(shape.x, shape.y)
      [shape.with(x: x, y: y, turn: shape.turn + degrees)]
    end

    # @return [Array<(Float, Float)>] with more points where they lie far apart, so that the ring stays round
    def finely(points)
      step = @turn * PIECE / 360
      points.each_cons(2).flat_map { |(ax, ay), (bx, by)|
        number = [((bx - ax).abs / step).ceil, 1].max
        (0...number).map { |i| [ax + ((bx - ax) * i / number), ay + ((by - ay) * i / number)] }
      } + points.last(1)
    end

    # From its first end downward.
    def hanging(shape)
      if shape.form == :path && shape.turn.zero? && FlatPath.known?(shape.path)
        return redrawn(shape) { |stretch| stretch.map { |x, y| [-y, x] } }
      end

      shape.with(x: -shape.y, y: shape.x, turn: shape.turn + 90)
    end

    def box(shapes)
      reaches = shapes.flat_map { |shape| reach_of(shape) }
      return [-20, 20, -20, 20] if reaches.empty?

      [reaches.map { |x, _, half| x - half }.min - MARGIN, reaches.map { |x, _, half| x + half }.max + MARGIN,
       reaches.map { |_, y, half| y - half }.min - MARGIN, reaches.map { |_, y, half| y + half }.max + MARGIN]
    end

    # @return [Array<(Float, Float, Float)>] places of a shape, and how far it reaches round each
    def reach_of(shape)
      return [[shape.x, shape.y, [shape.along, shape.across].max / 2]] unless shape.form == :path && FlatPath.known?(shape.path)

      FlatPath.points(shape.path).flatten(1).map { |x, y| [x + shape.x, y + shape.y, shape.across / 2] }
    end
  end
end
