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
            cords_drawn = across(cords, cord.thickness.to_mm).map { |y| line_shape(cord, solution.length.to_mm, y) }
            cords_drawn + closing_shapes(solution) + placed.flat_map { |cell, x, index| cell_shapes(cell, x, index) }
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
            y = (bead.outer.to_mm + small_bead.outer.to_mm) / 2 * (free_lane(index).odd? ? 1 : -1)
            knot = cord.thickness.to_mm * KNOT_ALONG
            aside = (small_bead.threaded.to_mm + knot) / 2
            [part_shape(small_bead, :small, x_mm, y),
             *[-aside, aside].map { |off| Making::Shape.new(item: cord, role: :line, x: x_mm + off, y: y, along: knot,
               across: cord.thickness.to_mm * KNOT_ACROSS, form: :knot) }]
          end

          # @return [Float] millimetres before the first bare stretch
          def first_length
            {
              loop: (button ? button.along + knot_length : nil),
              slider: slider ? slider.along : knot_length * 2,
              cord_ends: cord_end&.along
            }.fetch(closure).to_mm
          end

          def knot_shape(x_mm)
            Making::Shape.new(item: cord, role: :line, x: x_mm, y: 0.0, along: knot_length.to_mm, across: knot_across.to_mm, form: :knot)
          end
        end
      end
    end
  end
end
