# frozen_string_literal: true

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
    def initialize(piece, title:)
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
      drawn = PieceSvg.new(shapes, title: '', span_mm: 1, labels: false, ruler: false).drawn
      %(<svg viewBox="#{[left, top, right - left, bottom - top].map { |one| n(one) }.join(' ')}" role="img" ) +
        %(aria-label="#{h(@title)}" class="worn">#{drawn}</svg>)
    end

    private

    def bent(shape)
      return path(shape) if shape.form == :path
      return line(shape) if shape.form == :line

      x, y, degrees = place(shape.x, shape.y)
      [shape.with(x: x, y: y, turn: shape.turn + degrees)]
    end

    # The clasp lies at the top; what hangs, hangs outward.
    # @return [(Float, Float, Float)] where it lies, and the direction along the ring there, in degrees
    def place(along, aside)
      angle = (2 * Math::PI * along / @turn) - (Math::PI / 2)
      reach = @radius + aside + ((along / @turn).floor * pitch)
      [reach * Math.cos(angle), reach * Math.sin(angle), (angle * 180 / Math::PI) + 90]
    end

    def pitch
      @pitch ||= @piece.wraps == 1 ? 0.0 : (@piece.layout.reject { |shape| shape.role == :line }.map(&:across).max || 3.0) * APART
    end

    def line(shape)
      number = [(shape.along / @turn * 360 / PIECE).ceil, 1].max
      long = shape.along / number
      (0...number).map do |i|
        x, y, degrees = place(shape.x - (shape.along / 2) + (long * (i + 0.5)), shape.y)
        shape.with(x: x, y: y, along: long * 1.05, turn: degrees)
      end
    end

    # Straight pieces between points; other curves are left out.
    def path(shape)
      return [] unless shape.path.match?(/\A[ML\d. -]+\z/)

      given = shape.path.scan(/(-?[\d.]+) (-?[\d.]+)/).map { |x, y| [x.to_f + shape.x, y.to_f + shape.y] }
      points = finely(given).map { |x, y| place(x, y).first(2) }
      drawn = points.each_with_index.map { |(x, y), i| format('%s%.2f %.2f', i.zero? ? 'M' : 'L', x, y) }.join
      [shape.with(x: 0.0, y: 0.0, path: drawn)]
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
      return shape if shape.form == :path

      shape.with(x: -shape.y, y: shape.x, turn: shape.turn + 90)
    end

    def box(shapes)
      seen = shapes.reject { |shape| shape.form == :path }
      edges = seen.map { |shape| [shape, [shape.along, shape.across].max / 2] }
      return [-20, 20, -20, 20] if edges.empty?

      [edges.map { |shape, half| shape.x - half }.min - MARGIN, edges.map { |shape, half| shape.x + half }.max + MARGIN,
       edges.map { |shape, half| shape.y - half }.min - MARGIN, edges.map { |shape, half| shape.y + half }.max + MARGIN]
    end
  end
end
