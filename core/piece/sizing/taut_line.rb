# frozen_string_literal: true

module Core
  module Sizing
    # A line with all that is on it, drawn taut round a body of some radius. What is tall enough stands on the body, its hole axis square to
    # the radius at its middle; what lies lower is lifted by the line and lies straight between two that stand. A part has its place in the
    # row; the first, the tallest, stands in any case, and comes once more at the end.
    class TautLine
      # A part that the line passes less than this above stands on the body.
      TOUCHING = 1e-6

      # angle: from the first part round to itself, as laid · slack: bare line between the parts that the bend needs
      attr_reader :angle, :slack

      # @param row [LineRow] @param radius [Float] of the body @param turns [Float] the angle that it should make, more or less
      def initialize(row, radius, turns)
        @row = row
        @solids = row.solids
        @radius = radius
        @angle = turns
        @slack = 0.0
        @known = {}
        @standing = (0...row.size).to_a
        lift(spread) unless row.level?
        stretch_out
      end

      # Lays all out at this radius. Who stands stays as it is.
      def lay(radius)
        @radius = radius
        @angle = @slack = 0.0
        rest = rest_at(radius)
        @on_body.each { |solid| solid.stand_on(radius, rest) }
        place = -1
        while (stretch = @distinct[place += 1])
          stretch.lay(rest)
          times = @counts[stretch]
          @angle += stretch.turn * times
          @slack += stretch.gap * times
        end
      end

      # Looks who stands at this radius, close to the one at which all was laid out.
      # @param lifting [Boolean] whether one that stood may be lifted off the body
      # @return [Boolean] whether that changed
      def settle(radius, lifting:)
        @radius = radius
        before = @standing
        middles = press
        lift(middles) if lifting
        return false if @standing == before

        stretch_out
        true
      end

      private

      # @return [Float, nil] how far bare line on a body of this radius is from its middle
      def rest_at(radius)
        @row.bare? ? radius + @row.skin : nil
      end

      # @return [Array<Float>] about where the middle of each part lies, by length alone
      def spread
        along, upto = @row.along, @row.upto
        per_length = @angle / @row.total / LineRow::MM
        first = along.first
        middles = []
        place = -1
        while (length = along[place += 1])
          middles << ((upto[place] + ((length - first) / 2.0)) * per_length)
        end
        middles << @angle
      end

      # The line between those that stand: each Span once, with how often it is there.
      def stretch_out
        @stretches = []
        @counts = Hash.new(0).compare_by_identity
        i = -1
        while (from = @standing[i += 1])
          @stretches << (stretch = stretch(from, @standing[i + 1] || @row.size))
          @counts[stretch] += 1
        end
        @distinct = @counts.keys
        @on_body = @distinct.map(&:from).uniq
      end

      def stretch(from, after)
        @known[@row.likeness(from, after)] ||= @row.stretch(from, after)
      end

      # Adds those that the line would press into the body to those that stand.
      # @return [Array<Float>] the angle at which the middle of each part lies
      def press
        middles, standing = Array.new(@row.size + 1), []
        angle = 0.0
        i = -1
        while (from = @standing[i += 1])
          stretch = @stretches[i]
          middles[from] = angle
          standing << from
          press_between(from, @standing[i + 1] || @row.size, stretch, angle + stretch.from.lean, middles, standing)
          angle += stretch.turn
        end
        middles[@row.size] = @angle
        @standing = standing
        middles
      end

      # @param start [Float] angle at which the stretch begins @param middles, standing [Array] that it adds to
      def press_between(from, after, stretch, start, middles, standing)
        upto, along = @row.upto, @row.along
        per_length = stretch.span / @row.run(from, after)
        gone = upto[from] + along[from]
        place = from
        while (place += 1) < after
          angle = per_length * (upto[place] - gone + (along[place] / 2.0))
          middles[place] = start + angle
          standing << place unless stretch.above?(@radius + @solids[place].height - TOUCHING, angle)
        end
      end

      # Takes out those that the line between their neighbours passes above.
      def lift(middles)
        rest = rest_at(@radius)
        @row.kinds.each { |solid| solid.stand_on(@radius, rest) }
        kept = []
        i = -1
        while (place = @standing[i += 1])
          kept.pop while kept.size > 1 && lifted?(kept[-2], kept[-1], place, middles)
          kept << place
        end
        kept.pop while kept.size > 2 && lifted?(kept[-2], kept[-1], @row.size, middles)
        @standing = kept
      end

      def lifted?(before, place, after, middles)
        one, other = @solids[before], @solids[after]
        top = @radius + @solids[place].height + TOUCHING
        # A line that is straight is nowhere higher than at its ends.
        bare = @row.bare_between?(before, after)
        return false if one.distance <= top && other.distance <= top && !bare

        start = middles[before] + one.lean
        span = middles[after] - other.lean - start
        return false if span >= Math::PI

        Span.above?(top, one, other, span, middles[place] - start, bare ? @radius + @row.skin : nil)
      end
    end
  end
end
