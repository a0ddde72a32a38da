# frozen_string_literal: true

module Core
  module Sizing
    # The line from the middle of one part that stands on the body to the middle of the next, with what it carries between them; in
    # millimetres. Wherever the same parts stand and lie, it runs alike: one stretch is laid for all of these places.
    #
    # This and TautLine are laid many times for every piece: they loop by while, since each round of a block is a call.
    class Stretch
      # A length below this is none.
      NOTHING = 1e-6
      CLOSE_ENOUGH = 1e-6
      MOST_ROUNDS = 40

      # span: the angle at the body's middle from hole to hole · gap: bare line that the bend needs · run: what lies between the two
      attr_reader :from, :to, :run, :span, :gap

      # @param parts [Array<Solid>] that stands, its neighbour, the neighbour of the next that stands, and that one
      # @param run [Float] what lies between the two that stand @param bare [Boolean] whether any of it bends by itself
      # @param touching [Boolean] whether nothing that is solid lies between
      def initialize(parts, run, bare:, touching:)
        @from, @after, @before, @to = parts
        @run = run
        @bare = bare
        @touching = touching
        @bends_freely = bare || joints.none? { |one, other| opens?(one, other) }
        @gap = 0.0
        # How much of a shortage a wider gap takes away, for each millimetre.
        @closing = 1.0
      end

      def bare?
        @bare
      end

      # Both parts stand already. @param rest [Float] how far bare line on the body is from its middle
      def lay(rest)
        @rest = rest
        @bends_freely ? needed_at(0.0) : settle
      end

      # @param height [Float] from the body's middle @param angle [Float] from where it begins @param rest [Float] see #lay
      # @return [Boolean] whether it is farther out there
      def above?(height, angle, rest)
        Stretch.above?(height, from.distance, to.distance, span, angle, bare? && rest)
      end

      # @return [Float] the angle from the middle of one to the middle of the other
      def turn
        from.lean + span + to.lean
      end

      class << self
        # The angle at the body's middle under a straight run between two points so far from it, or under one down to the body, along it
        # and up again. @param rest [Float, false] how far bare line on the body is from its middle; false where it stays straight
        def span(length, near, far, rest)
          if rest && length > tangent(near, rest) + tangent(far, rest)
            return touch(near, rest) + touch(far, rest) + ((length - tangent(near, rest) - tangent(far, rest)) / rest)
          end

          angle_of(((near**2) + (far**2) - (length**2)) / (2 * near * far))
        end

        # Whether the line between two points is farther from the body's middle than a height, at an angle from the first. Most are told
        # without trigonometry: a straight line is nowhere farther out than in proportion between its ends, and nowhere nearer than the
        # nearer end times the cosine of half the span, which is at least 1 - span²/8.
        # @param rest see .span
        def above?(height, near, far, span, angle, rest)
          if !rest && angle >= 0 && angle <= span
            return false if near + ((far - near) * angle / span) <= height
            return true if (near < far ? near : far) * (1 - (span * span / 8)) > height
          end
          height(near, far, span, angle, rest) > height
        end

        # @return [Float] how far that line is from the body's middle
        def height(near, far, span, angle, rest)
          if rest && span > touch(near, rest) + touch(far, rest)
            down, up = touch(near, rest) - angle, touch(far, rest) - (span - angle)
            return down.positive? ? rest / Math.cos(down) : up.positive? ? rest / Math.cos(up) : rest
          end

          near * far * Math.sin(span) / ((near * Math.sin(angle)) + (far * Math.sin(span - angle)))
        end

        # The angle between a point so far out and where its tangent touches a circle.
        def touch(distance, rest)
          angle_of(rest / distance)
        end

        private

        # Rounding may carry a cosine beyond its bounds.
        def angle_of(cosine)
          return 0.0 if cosine > 1

          cosine < -1 ? Math::PI : Math.acos(cosine)
        end

        def tangent(distance, rest)
          square = (distance**2) - (rest**2)
          square > 0 ? Math.sqrt(square) : 0.0
        end
      end

      private

      # The wider the gap, the less the line bends, and the less gap it needs: finds the one that is as wide as it needs to be, by secant
      # steps from the last one found, halving where they leave what is known to hold it.
      def settle
        gap, low, high = @gap, 0.0, Float::INFINITY
        last = short = nil
        rounds = 0
        while (rounds += 1) <= MOST_ROUNDS
          before, short = short, needed_at(gap) - gap
          return if short.abs < CLOSE_ENOUGH

          short > 0 ? low = gap : high = gap
          @closing = (before - short) / (gap - last) if last && before != short
          last = gap
          gap += short / @closing
          gap = (low + (high < 2 * last ? high : 2 * last)) / 2 if gap < low || gap > high
        end
      end

      # Lays it with such a gap. @return [Float] the gap that the line's bend then needs
      def needed_at(gap)
        @gap = gap
        length = run + gap
        @span = Stretch.span(length, from.distance, to.distance, bare? && @rest)
        return 0.0 if @bends_freely

        bend(length)
        openings
      end

      # How far the line bends where it leaves the one and where it enters the other.
      def bend(length)
        return @leaving = @arriving = turn if @touching || length < NOTHING

        foot = from.distance * to.distance * Math.sin(span) / length
        @leaving = from.lean + Stretch.touch(from.distance, foot)
        @arriving = to.lean + Stretch.touch(to.distance, foot)
      end

      # @return [Array<(Solid, Solid)>] those that touch where the line bends
      def joints
        @touching ? [[@from, @to]] : [[@from, @after], [@before, @to]]
      end

      # What meets at a point bends freely.
      def opens?(one, other)
        one.profile != :pointed && other.profile != :pointed
      end

      def openings
        @touching ? opening(from, to, @leaving) : opening(from, @after, @leaving) + opening(@before, to, @arriving)
      end

      # Line between the holes of two that touch where it bends so far.
      def opening(one, other, angle)
        return 0.0 if angle <= 0 || !opens?(one, other)
        return mixed(one, other, angle) if one.profile != other.profile

        half = angle / 2
        return rolled(one, half) + rolled(other, half) if one.profile == :round

        2 * (one.height < other.height ? one.height : other.height) * Math.sin(half)
      end

      # A ball, or an ellipse of revolution, against a face that leans so far.
      def rolled(ball, lean)
        flat = ball.half * Math.cos(lean)
        Math.hypot(flat, ball.height * Math.sin(lean)) - flat
      end

      # The ball rolls on the other's face up to its edge, then the edge opens.
      def mixed(one, other, angle)
        ball, face = one.profile == :round ? [one, other] : [other, one]
        edge = Math.atan(face.height * ball.half / (ball.height**2))
        rolls = angle < edge ? angle : edge
        rolled(ball, rolls) + (face.height * Math.sin(angle - rolls))
      end
    end
  end
end
