# frozen_string_literal: true

module Core
  module Construction
    module Kinds
      class KnottedCord
        # How a cord closes: a loop over a button, sliding knots or a slider, or glued ends.
        module Closing
          private

          # Loop and button with their knots, or the sliding knot.
          def closing_length
            case closure
            when :loop then button.along + (button.outer / 2) + (knot_length * 2)
            when :slider then slider ? slider.along : knot_length * 2
            else cord_end.along * 2
            end
          end

          # The loop goes round the button; the slider's two knots are tied round the other end; a stop knot on each end.
          def closing_consumption
            return Measure::Length::ZERO if closure == :cord_ends

            knots = taken_by_knot * 2
            return knots + (button.outer * Math::PI) if closure == :loop

            (slider ? Measure::Length::ZERO : knots) + (free_tail ? bundle * barrel(STOP_TURNS) * 2 : Measure::Length::ZERO)
          end

          # @return [(Array<Element>, Array<Element>)] before the first bare stretch and after the last
          def closing_row
            tied = KnottedRow::Cell.new(kind: :knot, length: knot_length).element(bundle, knot_across)
            case closure
            when :loop then [[Making::ThreadedElement.of(button), tied], [tied, Making::ThreadedElement.bare(button.outer / 2, bundle)]]
            when :slider then [slider ? [Making::ThreadedElement.of(slider)] : [tied, tied], []]
            else [[Making::ThreadedElement.of(cord_end)], [Making::ThreadedElement.of(cord_end)]]
            end
          end

          def closing_parts
            part, number = { loop: [button, 1], cord_ends: [cord_end, 2], slider: [slider, 1] }.fetch(closure)
            part ? [count(part, number, part.kind)] : []
          end

          def closing_steps
            after = snug == :tight_once_tried_on ? %w[check_length snug] : %w[check_length]
            return glued_ends(after) if closure == :cord_ends

            close = closing_step(after)
            stop = step('stop', 'stop_knot', 2, after: [close.key]) if closure == :slider && free_tail
            [close, stop, step('trim', 'trimming', cords, after: [(stop || close).key], cautions: %i[cutting])].compact
          end

          # Bound and trimmed, they go into the ends together.
          def glued_ends(after)
            [step('trim', 'trimming', cords, after: after, cautions: %i[cutting], text: :knotted_cord_trim_first),
             step('glue', 'gluing', 2, after: %w[trim], waits: Stretch::GLUE_MINUTES, cautions: %i[cement])]
          end

          def closing_step(after)
            return step('slide', 'stringing', 2, after: after) if closure == :slider && slider

            step('close', closure == :slider ? 'slider_knot' : 'overhand_knot', 2, effort: Strung::SECOND_END_EFFORT, after: after,
              text: :"knotted_cord_close_#{closure}")
          end

          def closing_shapes(solution)
            return [part_shape(button, :button, button.along.to_mm / 2)] if closure == :loop
            return slider ? [part_shape(slider, :slider, slider.along.to_mm / 2)] : [] if closure == :slider

            half = cord_end.along.to_mm / 2
            [half, solution.length.to_mm - half].map { |x| part_shape(cord_end, :cord_end, x) }
          end

          # One account for each end: what stays free beyond the closure is also what hands hold while they tie.
          def end_length(maker)
            [held(maker), pulled].max
          end

          def held(maker)
            Ends::Tails.at(knot == :barrel ? TIED_OVER_MM : Ends::Tails::KNOTTED_MM, maker, cord)
          end

          def pulled
            return Measure::Length::ZERO unless closure == :slider

            free_tail || Measure::Length.mm(PULL_MM)
          end
        end
      end
    end
  end
end
