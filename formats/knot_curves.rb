# frozen_string_literal: true

module Formats
  # Knots as curves in space, seen from above: what lies nearer crosses what lies further off. Lengths are those of a picture of
  # TechniqueSvg, z towards the reader.
  class KnotCurves
    # One end of a line. points: [[x, y, z]] · second: drawn hollow, to be told apart · thin: no line but an edge · wide: a rope ·
    # whole: there from the beginning
    Strand = Struct.new(:points, :second, :thin, :wide, :whole, keyword_init: true)

    # Points of one part of a strand.
    POINTS = 64
    STRAIGHT = 36
    # What lies below is left out so far from where it is crossed.
    APART = 1.3
    ROPE = 4.0
    # Shorter stretches in sight are left out.
    SHORT = 1.2
    # No stretch between two points is as long.
    FAR = 5

    class << self
      # @param name [String] @param upto [Float] share of the working end that is drawn @return [String] SVG
      def draw(name, upto = 1.0)
        strands = send(name).map { |strand| strand.whole ? strand : shortened(strand, upto) }
        ropes, lines = strands.partition(&:wide)
        ropes.map { |rope| ink(rope.points.values_at(0, -1), rope) }.join +
          lines.flat_map { |line| seen(line, lines, ropes).map { |points| ink(points, line) } }.join
      end

      # @return [Integer] how often its lines cross each other and themselves
      def crossed(name)
        lines = send(name).reject { |strand| strand.wide || strand.thin }
        lines.sum { |line| lines.sum { |other| crossings(line, other).size } }
      end

      # @return [Array<(Float, Float)>] all that is drawn of it, for its frame
      def places(name)
        send(name).flat_map(&:points).map { |x, y, _| [x, y] }
      end

      # @return [Array<String>] their names
      def names
        %w[overhand overhand_tight surgeons surgeons_locked barrel barrel_tight slider whipping]
      end

      private

      # The open trefoil as polynomials (A. R. Shastri, Tohoku Mathematical Journal 44, 1992).
      def overhand
        [Strand.new(points: trefoil(2.16) { |x, y, z| [20 + (4.3 * x), 14 + (2.4 * y), z * 2] })]
      end

      def overhand_tight
        knot = trefoil(2.0) { |x, y, z| [12 + (2.0 * x), 13 + (1.3 * y), z * 2] }
        [Strand.new(points: line([1, 14, 0], knot.first) + knot + line(knot.last, [39, 14, 0]))]
      end

      # A throw of two: the ends go round each other twice, five crossings.
      def surgeons
        [-1, 1].map { |side| Strand.new(points: throws(side, 14, 5, 6.0, rising: false), second: side == 1) }
      end

      # And a throw of one on top, the other way round.
      def surgeons_locked
        [-1, 1].map { |side|
          first = throws(side, 19, 5, 4.0, rising: true)
          back = throws(-side, 9, 3, 4.0, rising: false)
          Strand.new(points: first + arc(first.last, back.first, side) + back, second: side == 1)
        }
      end

      # The end goes back over a tube and the cord, winds round both, and through the tube.
      def barrel
        tube = [11, 17].map { |y| Strand.new(points: line([10, y, 0.2], [34, y, 0.2]), thin: true, whole: true) }
        [*tube, Strand.new(points: coiled(30, 12, 5.0, turns: 3))]
      end

      def barrel_tight
        [Strand.new(points: coiled(25, 15, 3.0, turns: 3))]
      end

      # Round the other cord and itself, and back through the turns.
      def slider
        [Strand.new(points: line([1, 11, 0], [39, 11, 0]), second: true, whole: true), Strand.new(points: line([1, 19, 0], [27, 19, 0]) +
          arc([27, 19, 0], [28, 14, 0], -1) + coiled(28, 14, 3.5, turns: 3, y: 12, tail: 37).drop(STRAIGHT))]
      end

      # A cord round two ropes, over its own short end.
      def whipping
        ropes = [10, 18].map { |y| Strand.new(points: line([1, y, 0], [39, y, 0]), wide: true, whole: true) }
        ropes << Strand.new(points: line([5, 14, -0.5], [32, 14, -0.5]) + helix(30, 14, 7.5, 5, 14))
      end

      def trefoil(reach)
        Array.new(POINTS) { |i|
          t = reach * ((2.0 * i / (POINTS - 1)) - 1)
          yield((t**3) - (3 * t), (t**4) - (4 * (t**2)), ((t**5) - (10 * t)) / 5)
        }
      end

      # One of two strands that turn round each other along a level line. side: -1 from the left, 1 from the right
      def throws(side, middle, crossings, apart, rising:)
        twist = Array.new(POINTS) do |i|
          s = i.fdiv(POINTS - 1)
          turn = Math::PI * crossings * s
          x = side.negative? ? 10 + (20 * s) : 30 - (20 * s)
          flip = side.negative? ? 0 : Math::PI * (crossings + 1)
          [x, middle + (apart / 2 * Math.cos(turn + flip) * (crossings.odd? ? 1 : side)), -side * apart * Math.sin(turn + flip)]
        end
        from = [side.negative? ? 1 : 39, twist.first[1] + 4, 0]
        to = [side.negative? ? 39 : 1, twist.last[1] - 6, 0]
        line(from, twist.first) + twist + (rising ? [] : line(twist.last, to))
      end

      # Along the cord, back, round it, and through the middle to the right.
      def coiled(from, to, radius, turns:, y: 14, tail: 39)
        line([1, y, 0], [from, y, 0]) + helix(from, to, radius, turns, y) + line([to, y + 0.6, 0], [tail, y + 0.6, 0])
      end

      # Drawn out to its radius within the first quarter turn, and in again within the last.
      def helix(from, to, radius, turns, middle)
        Array.new(POINTS) do |i|
          s = i.fdiv(POINTS - 1)
          turn = 2 * Math::PI * turns * s
          out = radius * [1.0, s * turns * 4, (1 - s) * turns * 4].min
          [from + ((to - from) * s), middle + (out * Math.sin(turn)), out * Math.cos(turn)]
        end
      end

      def line(from, to)
        Array.new(STRAIGHT) { |i| from.zip(to).map { |a, b| a + ((b - a) * i.fdiv(STRAIGHT - 1)) } }
      end

      # Half round, outward to one side.
      def arc(from, to, side)
        Array.new(POINTS / 4) { |i|
          s = i.fdiv((POINTS / 4) - 1)
          out = 3 * Math.sin(Math::PI * s) * -side
          from.zip(to).map { |a, b| a + ((b - a) * s) }.each_with_index.map { |value, at| at.zero? ? value + out : value }
        }
      end

      def shortened(strand, upto)
        Strand.new(**strand.to_h, points: strand.points.first([(strand.points.size * upto).round, 2].max))
      end

      # @return [Array<Array>] stretches of a line that nothing nearer crosses
      def seen(line, lines, ropes)
        hidden = lines.flat_map { |other| crossings(line, other) }.flat_map { |at, place| near(line.points, at, place) }.to_set
        covered = ->(i) { hidden.include?(i) || behind?(line.points[i], ropes) }
        stretches = line.points.each_index.slice_when { |one, other| covered.(one) != covered.(other) }
        stretches.reject { |numbers| covered.(numbers.first) }.map { |numbers| line.points.values_at(*numbers) }
          .select { |points| length(points) > SHORT }
      end

      def length(points)
        points.each_cons(2).sum { |(ax, ay, _), (bx, by, _)| Math.hypot(bx - ax, by - ay) }
      end

      def behind?((_, y, z), ropes)
        z.negative? && ropes.any? { |rope| (y - rope.points.first[1]).abs < (ROPE / 2) + 0.3 }
      end

      # @return [Array<Integer>] points on both sides of a crossing, as far as they lie close to it
      def near(points, at, place)
        close = ->(i) { Math.hypot(points[i][0] - place[0], points[i][1] - place[1]) < APART }
        (at.downto(0).take_while(&close) + ((at + 1)...points.size).take_while(&close))
      end

      # @return [Array<(Integer, Array)>] after which point the line runs below the other, or below itself, and where
      def crossings(line, other)
        own = line.points.each_cons(2).to_a
        theirs = other.points.each_cons(2).to_a
        own.each_with_index.flat_map do |one, i|
          theirs.each_with_index.filter_map do |two, k|
            next if apart?(one, two) || (line.equal?(other) && (i - k).abs < 3)

            place = crossing(one, two)
            [i, place] if place
          end
        end
      end

      # @return [Boolean] whether two short stretches are too far from each other to cross
      def apart?(((ax, ay, _), _), ((cx, cy, _), _))
        (ax - cx).abs > FAR || (ay - cy).abs > FAR
      end

      # @return [(Float, Float), nil] where two short stretches cross and the first lies below
      def crossing(((ax, ay, az), (bx, by, bz)), ((cx, cy, cz), (dx, dy, dz)))
        across = ((bx - ax) * (dy - cy)) - ((by - ay) * (dx - cx))
        return if across.abs < 1e-9

        s = (((cx - ax) * (dy - cy)) - ((cy - ay) * (dx - cx))) / across
        t = (((cx - ax) * (by - ay)) - ((cy - ay) * (bx - ax))) / across
        return unless s.between?(0, 1) && t.between?(0, 1)

        own, their = az + ((bz - az) * s), cz + ((dz - cz) * t)
        [ax + ((bx - ax) * s), ay + ((by - ay) * s)] if own < their
      end

      def ink(points, strand)
        wide = if strand.wide then ROPE
               elsif strand.thin then 0.5
               else strand.second ? 1.7 : 1.1
               end
        inner = { wide: '#c9cdd6', second: '#ffffff' }.find { |name, _| strand[name] }
        path(points, wide, '#12161f') + (inner ? path(points, wide - 0.8, inner.last) : '')
      end

      def path(points, wide, colour)
        d = points.map { |x, y, _| "#{x.round(1)} #{y.round(1)}" }.chunk_while { |one, other| one == other }.map(&:first).join('L')
        %(<path d="M#{d}" fill="none" stroke="#{colour}" stroke-width="#{wide}"/>)
      end
    end
  end
end
