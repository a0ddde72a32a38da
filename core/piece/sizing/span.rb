# frozen_string_literal: true

module Core
  module Sizing
    # The line from the middle of one part that stands on the body to the middle of the next, with what it carries between them; in
    # millimetres. Wherever the same parts stand and lie, it runs alike: one stretch is laid for all of these places.
    #
    # This and TautLine are laid many times for every piece: they loop by while, since each round of a block is a call.
    class Span
      # A length below this is none.
      NOTHING = 1e-6
      CLOSE_ENOUGH = 1e-6
      MOST_ROUNDS = 40

      # span: the angle at the body's middle from hole to hole · turn: from the middle of one to the middle of the other
      # gap: bare line that the bend needs · run: what lies between the two
      attr_reader :from, :to, :run, :span, :turn, :gap

      # @param parts [Array<RigidPart>] that stands, its neighbour, the neighbour of the next that stands, and that one
      # @param run [Float] what lies between the two that stand @param bare [Boolean] whether any of it bends by itself
      # @param touching [Boolean] whether nothing that is solid lies between
      def initialize(parts, run, bare, touching)
        @from, @after, @before, @to = parts
        @run = run
        @bare = bare
        @touching = touching
        @bends_freely = bare || (touching ? !opens?(from, to) : !opens?(from, @after) && !opens?(@before, to))
        @rest = nil
        @gap = @span = @turn = @leaving = @arriving = 0.0
        # How much of a shortage a wider gap takes away, for each millimetre.
        @closing = 1.0
      end

      def bare?
        @bare
      end

      # Both parts stand already. @param rest [Float, nil] see RigidPart#stand_on
      def lay(rest)
        @rest = bare? ? rest : nil
        @bends_freely ? needed_at(0.0) : settle
        @turn = from.lean + span + to.lean
      end

      # @param height [Float] from the body's middle @param angle [Float] from where it begins
      # @return [Boolean] whether it is farther out there
      def above?(height, angle)
        Span.above?(height, from, to, span, angle, @rest)
      end

      class << self
        # The angle at the body's middle under a straight run between two parts that stand, or under one down to the body, along it and up
        # again. @param rest [Float, nil] how far bare line on the body is from its middle; nil where it stays straight
        def span(length, one, other, rest)
          free = rest ? length - one.tangent - other.tangent : 0.0
          return one.down + other.down + (free / rest) if free > 0

          near, far = one.distance, other.distance
          angle_of(((near * near) + (far * far) - (length * length)) / (2 * near * far))
        end

        # Whether the line between two that stand is farther from the body's middle than a height, at an angle from the first.
        # @param rest see .span
        def above?(height, one, other, span, angle, rest)
          near, far = one.distance, other.distance
          if rest && span > one.down + other.down
            # Between them it is nowhere farther out than in proportion to their ends.
            inside = angle >= 0 && angle <= span
            return false if inside && near + ((far - near) * angle / span) <= height

            bent_height(one, other, span, angle, rest) > height
          else
            straight_above?(height, near, far, span, angle)
          end
        end

        # The angle between a point so far out and where its tangent touches a circle.
        def touch(distance, radius)
          angle_of(radius / distance)
        end

        private

        # How far a line that lies on the body is from its middle, on the way down, on the body, or on the way up.
        def bent_height(one, other, span, angle, rest)
          down, up = one.down - angle, other.down - (span - angle)
          return rest / Math.cos(down) if down > 0

          up > 0 ? rest / Math.cos(up) : rest
        end

        # Nearly all are told without trigonometry: one over the distance, u, is a sine of the angle, so u'' = -u; it lies above the line
        # between its ends by at least half its least value, and at most half its greatest, times the angles to both ends. The line is
        # nowhere nearer than the nearer end times the cosine of half the span, which is at least 1 - span²/8.
        def straight_above?(height, near, far, span, angle)
          if angle >= 0 && angle <= span && span < 2
            lower = near < far ? near : far
            higher = near < far ? far : near
            wanted = near * far / height
            even = far + ((near - far) * angle / span)
            bulge = angle * (span - angle) / 2
            return false if even + (lower * bulge) >= wanted
            return true if even + (higher * bulge / (1 - (span * span / 8))) < wanted
          end
          near * far * Math.sin(span) / ((near * Math.sin(angle)) + (far * Math.sin(span - angle))) > height
        end

        # Rounding may carry a cosine beyond its bounds.
        def angle_of(cosine)
          return 0.0 if cosine > 1

          cosine < -1 ? Math::PI : Math.acos(cosine)
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
        @span = Span.span(length, from, to, @rest)
        return 0.0 if @bends_freely

        bend(length)
        openings
      end

      # How far the line bends where it leaves the one and where it enters the other.
      def bend(length)
        return @leaving = @arriving = from.lean + span + to.lean if @touching || length < NOTHING

        foot = from.distance * to.distance * Math.sin(span) / length
        @leaving = from.lean + Span.touch(from.distance, foot)
        @arriving = to.lean + Span.touch(to.distance, foot)
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
        ball, face = one, other
        ball, face = other, one if other.profile == :round
        edge = Math.atan(face.height * ball.half / (ball.height * ball.height))
        rolls = angle < edge ? angle : edge
        rolled(ball, rolls) + (face.height * Math.sin(angle - rolls))
      end
    end
  end
end
