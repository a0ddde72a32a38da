# frozen_string_literal: true

module Core
  module Construction
    # The path of a bent wire in the plane: straight stretches and turns round pegs, followed from one end to the other.
    class BentPath
      # @param length of a straight stretch, or the peg's diameter, in millimetres
      # @param degrees turned, 0 for straight on, negative to the other side
      Bend = Value.define(:length, degrees: 0) do
        def turn?
          !degrees.zero?
        end
      end

      WRITTEN = /\A(?<length>.+?)(?:\s*[x×]\s*(?<degrees>-?\d{1,4}))?\z/
      MOST = 60
      # Turns are followed in pieces no longer than this.
      PIECE_DEGREES = 15.0

      # @param text [String] such as "10 mm; 4 mm x 180"
      # @return [Array<Bend>] @raise [Measure::NotALength] where a stretch has no length
      def self.read(text)
        text.split(/[;\n]/).map(&:strip).reject(&:empty?).map do |written|
          found = WRITTEN.match(written)
          Bend.new(length: Measure::Length.parse(found[:length]).to_mm, degrees: found[:degrees].to_i)
        end
      end

      # @param bends [Array<Bend>] @param thick_mm [Float] of the wire
      def initialize(bends, thick_mm)
        @bends = bends
        @thick = thick_mm
      end

      # @return [Float] of wire, through its middle: r·α for each turn (arc length)
      def length
        @bends.sum { |bend| bend.turn? ? radius(bend) * bend.degrees.abs * Math::PI / 180 : bend.length }
      end

      # @return [Float] from the leftmost to the rightmost point of the wire's middle
      def width
        points.map(&:first).minmax.reduce { |least, most| most - least }
      end

      # @return [Float] from the highest to the lowest
      def height
        points.map(&:last).minmax.reduce { |least, most| most - least }
      end

      # @return [String] an SVG path about the middle of the form
      def drawing
        points.each_with_index.map { |point, i| format('%s%.2f %.2f', i.zero? ? 'M' : 'L', *about_middle(point)) }.join
      end

      # @return [(Float, Float)] where the path begins, seen from the middle of the form
      def start
        about_middle(points.first)
      end

      # @return [Array<Making::Peg>] in the order in which the wire goes round them, seen from the middle of the form
      def pegs
        points
        @centres.map do |(x, y), across, degrees|
          right, down = about_middle([x, y])
          Making::Peg.new(x: right, y: down, across: across, degrees: degrees)
        end
      end

      private

      def radius(bend)
        (bend.length + @thick) / 2
      end

      def about_middle(point)
        @middle ||= [points.map(&:first).minmax.sum / 2, points.map(&:last).minmax.sum / 2]
        point.zip(@middle).map { |at, middle| at - middle }
      end

      def points
        @points ||= begin
          heading = 0.0
          @centres = []
          @bends.each_with_object([[0.0, 0.0]]) do |bend, found|
            heading = bend.turn? ? round(bend, heading, found) : straight(bend.length, heading, found)
          end
        end
      end

      def straight(distance, heading, found)
        x, y = found.last
        found << [x + (distance * Math.cos(heading)), y + (distance * Math.sin(heading))]
        heading
      end

      # Of the peg: beside the wire, on the side to which it turns.
      def centre((x, y), heading, bend)
        side = heading + ((bend.degrees.positive? ? 1 : -1) * Math::PI / 2)
        [x + (radius(bend) * Math.cos(side)), y + (radius(bend) * Math.sin(side))]
      end

      # Along the arc in chords, short enough to look round.
      def round(bend, heading, found)
        pieces = (bend.degrees.abs / PIECE_DEGREES).ceil
        angle = bend.degrees * Math::PI / 180 / pieces
        chord = 2 * radius(bend) * Math.sin(angle.abs / 2)
        @centres << [centre(found.last, heading, bend), bend.length, bend.degrees]
        pieces.times do
          straight(chord, heading + (angle / 2), found)
          heading += angle
        end
        heading
      end
    end
  end
end
