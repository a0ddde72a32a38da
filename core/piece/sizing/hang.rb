# frozen_string_literal: true

module Core
  module Sizing
    # How a necklace hangs: it lies on the neck from side to side behind, and hangs between the sides in front. The neck is a cylinder of
    # the measured girth (plane geometry).
    class Hang
      # Shorter ones lie round the neck (from memory).
      LEAST_MM = 30.0

      # @param piece [Piece] that closes round a neck @param neck [Measure::Length] round it
      # @return [Hang, nil] nil where it lies round the neck, or where a weight is not known
      def self.of(piece, neck)
        long = piece.laid_flat.to_mm.to_f
        return if piece.inside.to_mm - neck.to_mm < LEAST_MM

        new(piece, neck.to_mm.to_f, long) if piece.parts.none? { |use| use.part.made? || Catalogue::Mass.milligrams(use.part).nil? }
      end

      attr_reader :span

      # @param neck [Float] @param long [Float] millimetres
      def initialize(piece, neck, long)
        @piece = piece
        @span = neck / Math::PI
        @long = long - (neck / 2)
        @start = middle(long) - (@long / 2)
        @line = HangingLine.new(@long, @span, weights)
      end

      # @return [Array<Making::Shape>] what hangs in front, where it hangs: x from the left side of the neck, y down
      def layout
        hanging.map { |shape| hung(shape) }
      end

      # @return [Array<(Float, Float)>] the way of the line
      def way
        @line.places.map { |place| [place.x, place.y] }
      end

      # @return [Float] millimetres from the sides of the neck down to the lowest place, all that hangs there counted
      def fall
        layout.map { |shape| shape.y + ((shape.turn % 180 == 90 ? shape.along : shape.across) / 2) }.max || @line.lowest.y
      end

      # @return [Float] millimetres by which its weight hangs to the right of the middle, negative to the left
      def aside
        @line.centre - (@span / 2)
      end

      # @return [Float] grams that pull at the sides
      def pull
        @line.pull
      end

      private

      def weights
        hanging.map { |shape|
          HangingLine::Weight.new(at: shape.x - @start, grams: (Catalogue::Mass.milligrams(shape.item) || 0.0).fdiv(1000))
        }
      end

      # Who wears it turns it until its pendant, or the middle of what repeats, lies in front.
      # @return [Float] millimetres along the piece
      def middle(long)
        pendants = @piece.layout.select { |shape| shape.role == :pendant || pendant?(shape.item) }.map(&:x)
        return pendants.first if pendants.one?

        repeating = @piece.work_ups.select { |_, made| made.lengths.repeats }.keys
        reach = @piece.layout.select { |shape| repeating.include?(shape.owner) && shape.role != :line }.map(&:x).minmax
        reach.first ? reach.sum / 2 : long / 2
      end

      def pendant?(item)
        item.is_a?(Catalogue::Part) && item.kind == :pendant
      end

      # Parts, not lines, in the front.
      def hanging
        @hanging ||= @piece.layout.select { |shape| shape.item.is_a?(Catalogue::Part) && shape.x.between?(@start, @start + @long) }
      end

      # What lies on the line turns with it; what hangs from it hangs down.
      def hung(shape)
        place = @line.place(shape.x - @start)
        return shape.with(x: place.x, y: place.y + shape.y) if shape.turn % 180 == 90 || shape.y > shape.across

        near = [-1.0, 1.0].map { |by| @line.place((shape.x - @start + by).clamp(0.0, @line.places.last.at)) }
        angle = Math.atan2(near[1].y - near[0].y, near[1].x - near[0].x) * 180 / Math::PI
        aside = shape.y
        shape.with(x: place.x - (aside * Math.sin(angle * Math::PI / 180)), y: place.y + (aside * Math.cos(angle * Math::PI / 180)),
          turn: shape.turn + angle)
      end
    end
  end
end
