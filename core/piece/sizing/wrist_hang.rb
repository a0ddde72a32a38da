# frozen_string_literal: true

module Core
  module Sizing
    # How a bracelet or anklet hangs from an arm or leg held level: over the top of a cylinder, off it on both sides, and below it in a
    # hanging line. It turns until its heavier side lies below, as far as friction lets it.
    class WristHang
      # Less ease does not hang (from memory).
      LEAST_MM = 5.0
      # A piece whose weights balance out this far stays as it is put on (from memory).
      BALANCED = 0.03
      # Halvings of the angle: far finer than anyone sees.
      HALVINGS = 40

      # @param piece [Piece] that closes round a wrist or ankle @param measure [Measure::Length] round it
      # @return [WristHang, nil] nil where it sits close, springs by itself, or where a weight is not known
      def self.of(piece, measure)
        return if piece.wraps > 1 || piece.inside.to_mm - measure.to_mm < LEAST_MM
        return if piece.cuts.any? { |cut| cut.line.kind == :memory_wire }
        return if piece.parts.any? { |use| use.part.made? || Catalogue::Mass.milligrams(use.part).nil? }

        new(piece, measure)
      end

      # @return [Float] millimetres across the arm; its middle is at half of that, and at the height 0
      attr_reader :span

      def initialize(piece, measure)
        @piece = piece
        @long = piece.laid_flat.to_mm.to_f
        @radius = (measure.to_mm / (2 * Math::PI)) + above_skin
        @span = measure.to_mm / Math::PI
        @angle = leaving
      end

      # @return [Array<Making::Shape>] what the piece is made of, where it lies: x from the left side of the arm, y down
      def layout
        parts.map { |shape| placed(shape) }
      end

      # @return [Array<(Float, Float)>] the way of the line below the arm, from where it leaves on the left to the right
      def way
        below.places.map { |place| [left + place.x, down + place.y] }
      end

      # @return [Float] millimetres of air between the arm and what lies lowest
      def gap
        down + below.lowest.y - @radius
      end

      # @return [Float] how far its weights are from balancing out: 0 where they do, 1 where all is in one place
      def uneven
        Math.hypot(*pull_to_one_side) / grams
      end

      def balanced?
        uneven < BALANCED
      end

      # @return [Catalogue::Part, nil] the heaviest part at the lowest place, nil where the piece stays as it is put on
      def lies_below
        return if balanced?

        parts.select { |shape| (along(shape) - (@long / 2)).abs < @long / 6 }.map(&:item).max_by { |part| milligrams(part) }
      end

      private

      # @return [Array<Making::Shape>] parts, not lines
      def parts
        @parts ||= @piece.layout.select { |shape| shape.item.is_a?(Catalogue::Part) }
      end

      def milligrams(part)
        Catalogue::Mass.milligrams(part) || 0.0
      end

      def grams
        parts.sum { |shape| milligrams(shape.item) } / 1000.0
      end

      # @return [Float] of the line, on average of what lies along it
      def above_skin
        beads = parts.select { |shape| shape.item.bead? }
        beads = parts if beads.empty?
        beads.sum { |shape| shape.item.height_above_skin.to_mm * shape.along } / beads.sum(&:along)
      end

      # Weights as arrows from the middle of the closed piece.
      # @return [(Float, Float)] grams, along the direction where the piece begins and across it
      def pull_to_one_side
        parts.map { |shape|
          turn = 2 * Math::PI * shape.x / @long
          [Math.cos(turn), Math.sin(turn)].map { |share| share * milligrams(shape.item) / 1000 }
        }.transpose.map(&:sum)
      end

      # @return [Float] millimetres along the piece that lie lowest; of a balanced one its closing
      def lowest
        @lowest ||= begin
          x, y = pull_to_one_side
          balanced? ? 0.0 : (Math.atan2(y, x) * @long / (2 * Math::PI)) % @long
        end
      end

      # @return [Float] along the piece, from the top of the arm
      def along(shape)
        (shape.x - lowest + (@long / 2)) % @long
      end

      # Where the line leaves the arm it runs on in the arm's direction (plane geometry): above that angle it would bend outward.
      # @return [Float] radians below the level of the arm's middle
      def leaving
        low, high = 0.0, (Math::PI / 2) - 1e-6
        HALVINGS.times do
          middle = (low + high) / 2
          steeper?(middle) ? high = middle : low = middle
        end
        (low + high) / 2
      end

      # @return [Boolean] whether the arm is steeper there than the line hangs
      def steeper?(angle)
        line = hanging(angle) or return true
        first, second = line.places.first(2)
        last, before = line.places.last(2).reverse
        slopes = [[second.x - first.x, second.y - first.y], [last.x - before.x, before.y - last.y]].map { |x, y| Math.atan2(x, y.abs) }
        angle > slopes.sum / 2
      end

      # @return [HangingLine, nil] nil where so little is left that it cannot hang
      def hanging(angle)
        long = @long - (((2 * angle) + Math::PI) * @radius)
        span = 2 * @radius * Math.cos(angle)
        return if long <= span

        start = (@long - long) / 2
        weights = parts.map { |shape| HangingLine::Weight.new(at: along(shape) - start, grams: milligrams(shape.item) / 1000.0) }
        HangingLine.new(long, span, weights) if weights.any? { |one| one.grams.positive? && one.at.between?(0, long) }
      end

      def below
        @below ||= hanging(@angle) || HangingLine.new(1.01 * 2 * @radius * Math.cos(@angle), 2 * @radius * Math.cos(@angle),
          [HangingLine::Weight.new(at: @radius * Math.cos(@angle), grams: 1.0)])
      end

      # Left end of the hanging part, from the left side of the arm, and below its middle.
      def left
        (@span / 2) - (@radius * Math.cos(@angle))
      end

      def down
        @radius * Math.sin(@angle)
      end

      def placed(shape)
        on_arm = (@long - below.places.last.at) / 2
        at = along(shape)
        at < on_arm || at > @long - on_arm ? over_the_top(shape, at) : under(shape, below.place(at - on_arm), at - on_arm)
      end

      def over_the_top(shape, at)
        turn = (at - (at > @long / 2 ? @long : 0.0)) / @radius
        x = (@span / 2) - (@radius * Math.sin(turn))
        y = -@radius * Math.cos(turn)
        shape.with(x: x - (shape.y * Math.sin(turn)), y: y - (shape.y * Math.cos(turn)), turn: shape.turn + 180 - (turn * 180 / Math::PI))
      end

      def under(shape, place, at)
        near = [-0.5, 0.5].map { |by| below.place((at + by).clamp(0.0, below.places.last.at)) }
        angle = Math.atan2(near[1].y - near[0].y, near[1].x - near[0].x)
        shape.with(x: left + place.x - (shape.y * Math.sin(angle)), y: down + place.y + (shape.y * Math.cos(angle)),
          turn: shape.turn + (angle * 180 / Math::PI))
      end
    end
  end
end
