# frozen_string_literal: true

module Core
  module Construction
    module Kinds
      class KnottedCord
        # How a knotted cord is drawn: each bead and knot in its place, cords that stay out beside the others.
        module Drawing
          private

          def layout(solution)
            placed = KnottedRow.placed(filled(solution), first_length)
            cords_drawn(placed, solution.length.to_mm) + closing_shapes(solution) + placed.flat_map { |cell, x, index|
 cell_shapes(cell, x, index) }
          end

          def cords_drawn(placed, length)
            beside = across(cords, cord.thickness.to_mm)
            return beside.map { |y| line_shape(cord, length, y) } if lanes == 1

            beads = placed.select { |cell, _, _| cell.kind == :bead }
            beside.each_with_index.map { |y, lane| lane_shape(lane, y, beads, length) }
          end

          # Through each large bead or, where it is free, through the small one beside it; between beads the lanes cross.
          def lane_shape(lane, beside, beads, length)
            points = [[0.0, beside], *beads.flat_map { |cell, x, index| passing(lane, cell.part, x, index) }, [length, beside]]
            path_shape(cord, points)
          end

          def passing(lane, large, x_mm, index)
            free = free_lane(index) == lane
            half = large.along.to_mm / 2
            y = free ? small_y(large, index) : across(lanes - 1, cord.thickness.to_mm)[through_place(lane, index)]
            [[x_mm - half, y], [x_mm + half, y]]
          end

          # @return [Integer] which of the lanes in a bead it is
          def through_place(lane, index)
            lane > free_lane(index) ? lane - 1 : lane
          end

          def small_y(bead, index)
            (bead.outer.to_mm + small_at(index).outer.to_mm) / 2 * (free_lane(index).odd? ? 1 : -1)
          end

          # @param index [Integer] of the bead in the row
          def cell_shapes(cell, x_mm, index)
            case cell.kind
            when :knot then [knot_shape(x_mm)]
            when :bead then [threaded_shape(cell.part, :bead, x_mm), *(small_shapes(cell.part, x_mm, index) if lanes > 1)]
            else []
            end
          end

          # Beside the bead, on the lane that is free, between its two knots.
          def small_shapes(bead, x_mm, index)
            small = small_at(index)
            y = small_y(bead, index)
            knot = cord.thickness.to_mm * KNOT_ALONG
            aside = (small.threaded.to_mm + knot) / 2
            [part_shape(small, :small, x_mm, y),
             *[-aside, aside].map { |off| Making::Shape.new(item: cord, role: :line, x: x_mm + off, y: y, along: knot,
               across: cord.thickness.to_mm * KNOT_ACROSS, form: :knot) }]
          end

          # @return [Float] millimetres before the first bare stretch
          def first_length
            cord_ends.first.length.to_mm
          end

          def knot_shape(x_mm)
            Making::Shape.new(item: cord, role: :line, x: x_mm, y: 0.0, along: knot_length.to_mm, across: knot_across.to_mm, form: :knot)
          end
        end
      end
    end
  end
end
