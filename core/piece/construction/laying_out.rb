# frozen_string_literal: true

module Core
  module Construction
    # Where the parts of a component lie in its drawing, and where others can hang on them.
    module LayingOut
      private

      # @return [Array<Float>] where the middle of each part lies, threaded one after the other from start, in millimetres
      def running(parts, start = 0.0)
        edge = start
        parts.map do |part|
          taken = part.threaded.to_mm
          middle = edge + (taken / 2)
          edge += taken
          middle
        end
      end

      # @param rows [Array<(Catalogue::Part, String)>] parts with where in a pattern each comes from @param line [Catalogue::Line] they
      #   hang on
      # What hangs at a ring on the line hangs in the ring.
      # @return [Array<Anchor>]
      def bead_anchors(rows, line, shut_with:, start: 0.0)
        at = running(rows.map(&:first), start)
        rows.each_with_index.map do |(part, origin), i|
          ring = Catalogue::Part::RINGS.include?(part.kind)
          Making::Anchor.new(item: ring ? part : line, x: at[i], y: part.outer.to_mm / 2, origin: origin,
            shut_with: ring ? nil : shut_with)
        end
      end

      # @yieldparam part [Catalogue::Part] @yieldreturn [Measure::Length] what it adds to the row
      # @return [Array<Anchor>] one at each part of a row that hangs together, for what hangs in the part itself
      def part_anchors(row, origins)
        edge = 0.0
        row.zip(origins).map do |part, origin|
          along = (block_given? ? yield(part) : part.linked).to_mm
          edge += along
          Making::Anchor.new(item: part, x: edge - (along / 2), y: part.outer.to_mm / 2, reach: along / 2, origin: origin)
        end
      end

      def part_shape(part, role, x_mm, y_mm = 0.0)
        Making::Shape.new(item: part, role: role, x: x_mm, y: y_mm, along: part.drawn_along.to_mm, across: part.outer.to_mm,
          form: part.form)
      end

      # A part on a line. A pendant hangs from it.
      def threaded_shape(part, role, x_mm, y_mm = 0.0)
        return part_shape(part, role, x_mm, y_mm) unless part.kind == :pendant

        part_shape(part, role, x_mm, y_mm + (part.along.to_mm / 2)).with(turn: 90)
      end

      def line_shape(line, length_mm, y_mm = 0.0, from: 0.0)
        Making::Shape.new(item: line, role: :line, x: from + (length_mm / 2), y: y_mm, along: length_mm, across: line.thickness.to_mm,
          form: :line)
      end

      # @param points [Array<(Float, Float)>] that a line runs through, in millimetres
      def path_shape(line, points)
        path = points.each_with_index.map { |(x, y), i| format('%s%.2f %.2f', i.zero? ? 'M' : 'L', x, y) }.join
        Making::Shape.new(item: line, role: :line, x: 0.0, y: 0.0, along: 0.0, across: line.thickness.to_mm, form: :path, path: path)
      end

      # @return [Array<Float>] where each of n parallel lines lies across, about the middle
      def across(number, pitch_mm)
        (0...number).map { |i| (i - ((number - 1) / 2.0)) * pitch_mm }
      end
    end
  end
end
