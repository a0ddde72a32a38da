# frozen_string_literal: true

module Core
  module Sizing
    # A line with all that is on it, closed round a body that is taken as a circle. It answers how long the inside is, and how much line
    # must stay bare so that the piece can bend at all. Plane geometry, see TautLine:
    #
    # Neighbours touch on the inside of the curve, by their profiles; the line runs straight from hole to hole. Bare line goes down to the
    # body and along it, or straight across where it is short. The angles between those that stand add up to a full turn. For n equal parts
    # of length a this is 2π(a / (2 sin(π/n)) - a/2) for balls, π·a / tan(π/n) for flat faces. Several turns lie on a helix whose pitch is
    # the widest part.
    class ClosedLine
      # In millimetres.
      CLOSE_ENOUGH = 3e-4
      MOST_ROUNDS = 40
      # So often it may change who stands. Two ways to lie may take turns: after so many changes nothing is lifted any more.
      MOST_CHANGES = 40
      LIFTING_CHANGES = 20
      # The search begins as if the line lay at this share of its parts' average height: what must stay bare makes it longer than they are
      # (found by trying thousands of rows; from elsewhere it takes more rounds, and few rows are found to lie in another way).
      BEGINNING = 0.9
      SMALL = Measure::Length.mm(110)
      UNLIKE = 1.5
      TILT = Measure::Length.mm(4.5)

      # @param elements [Array<Making::ThreadedElement>] @param overlap [Measure::Length] that lies on the rest
      def initialize(elements, wraps: 1, overlap: Measure::Length::ZERO)
        @row = LineRow.new(elements)
        @wraps = wraps
        @turns = 2 * Math::PI * wraps * @row.total / [@row.total - overlap.to_mm, 1e-9].max
        @slack = 0.0
        @radius = [(@row.total / @turns) - @row.tallest, 0.0].max
        close if bends?
      end

      # @return [Measure::Length] once round the body
      def inside
        Measure::Length.mm(2 * Math::PI * @radius)
      end

      # Parts are held square to the radius. On a small ring, a large part beside a small one tilts: the ring then comes out larger than
      # told, by at most this (found by an independent solver that lets parts tilt, over 137 rows of parts of 6 to 16 mm round 20 to 110
      # mm; at the size of a wrist it is under 0.6 mm).
      # @return [Measure::Length] zero where that is not worth telling
      def doubt
        heights = @row.kinds.map(&:height)
        small = inside < SMALL && heights.any? && heights.min * UNLIKE < heights.max
        small ? TILT : Measure::Length::ZERO
      end

      # @return [Measure::Length] line between the parts, on the whole piece
      def slack
        Measure::Length.mm(@slack)
      end

      private

      # @return [Boolean] whether it can close at all; bare line without a part lies round anything
      def bends?
        @row.size >= 3 || (@row.size.positive? && @row.bare?)
      end

      # Finds the radius at which the line makes a full turn, and who stands there.
      def close
        @radius = [(@row.total / @turns) - (@row.height * BEGINNING), @row.tallest / 4].max
        line = TautLine.new(@row, @radius, @turns)
        (0..MOST_CHANGES).each do |changes|
          turn_fully(line)
          break if @row.level? || !line.settle(@radius, lifting: changes < LIFTING_CHANGES)
        end
        @slack = line.slack
      end

      # Finds the radius for those who stand.
      def turn_fully(line)
        last = nil
        MOST_ROUNDS.times do
          line.lay(@radius)
          now = [@radius, line.angle - full_turn]
          @radius = [nearer(now, last, (@row.total + line.slack) / line.angle), now.first / 4].max
          return if (@radius - now.first).abs < CLOSE_ENOUGH

          last = now
        end
      end

      # The next radius to try: in proportion to the angle at first, then by the secant through the last two.
      # @param now [(Float, Float)] radius and how much more than a full turn it makes
      # @param bend [Float] how far from the body's middle the line runs on average
      def nearer(now, last, bend)
        radius, over = now
        return radius + (bend * over / @turns) if last.nil? || (over - last[1]).abs < 1e-12

        step = over * (radius - last[0]) / (over - last[1])
        radius - step.clamp(-radius / 2, radius)
      end

      def full_turn
        return @turns if @wraps == 1

        around = 2 * Math::PI * (@radius + @row.tallest)
        @turns * Math.hypot(around, @row.widest) / around
      end
    end
  end
end
