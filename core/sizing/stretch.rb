# frozen_string_literal: true

module Core
  module Sizing
    # The line from the middle of one part that stands on the body to the middle of the next, with what it carries between them; in
    # millimetres. Wherever the same parts stand and lie, it runs alike: one stretch is laid for all of these places.
    class Stretch
      # A length below this is none.
      NOTHING = 1e-6

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
      end

      def bare?
        @bare
      end

      # How far the line bends on leaving the one and on reaching the other, by length alone. @param around [Float] radius of the line
      def guess(around)
        @leaving = (from.half + (run.zero? ? to.half : run / 2)) / around
        @arriving = (to.half + (run.zero? ? from.half : run / 2)) / around
      end

      # Both parts stand already. @param rest [Float] how far bare line on the body is from its middle
      def lay(rest)
        @gap = bare? ? 0.0 : openings
        length = run + gap
        @span = Stretch.span(length, from.distance, to.distance, bare? && rest)
        bend(length)
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

          Math.acos((((near**2) + (far**2) - (length**2)) / (2 * near * far)).clamp(-1.0, 1.0))
        end

        # The angle between a point so far out and where its tangent touches a circle.
        def touch(distance, rest)
          Math.acos((rest / distance).clamp(-1.0, 1.0))
        end

        private

        def tangent(distance, rest)
          Math.sqrt([(distance**2) - (rest**2), 0.0].max)
        end
      end

      private

      # How far the line bends where it leaves the one and where it enters the other.
      def bend(length)
        return @leaving = @arriving = turn if @touching || length < NOTHING

        foot = from.distance * to.distance * Math.sin(span) / length
        @leaving = from.lean + Stretch.touch(from.distance, foot)
        @arriving = to.lean + Stretch.touch(to.distance, foot)
      end

      def openings
        @touching ? opening(from, to, @leaving) : opening(from, @after, @leaving) + opening(@before, to, @arriving)
      end

      # Line between the holes of two that touch where it bends so far.
      def opening(one, other, angle)
        return 0.0 if one.profile == :pointed || other.profile == :pointed || angle <= 0
        return mixed(one, other, angle) if one.profile != other.profile

        half = angle / 2
        one.profile == :round ? rolled(one, half) + rolled(other, half) : 2 * [one.height, other.height].min * Math.sin(half)
      end

      # A ball, or an ellipse of revolution, against a face that leans so far.
      def rolled(ball, lean)
        flat = ball.half * Math.cos(lean)
        Math.hypot(flat, ball.height * Math.sin(lean)) - flat
      end

      # The ball rolls on the other's face up to its edge, then the edge opens.
      def mixed(one, other, angle)
        ball, face = one.profile == :round ? [one, other] : [other, one]
        rolls = [angle, Math.atan(face.height * ball.half / (ball.height**2))].min
        rolled(ball, rolls) + (face.height * Math.sin(angle - rolls))
      end
    end
  end
end
