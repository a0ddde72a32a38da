# frozen_string_literal: true

module Core
  module Construction
    module Kinds
      class KnottedCord
        # How a cord closes: a loop over a button or a hook, sliding knots or a slider, or glued ends.
        module Closing
          private

          def hook_problems
            return [] unless closure == :hook

            [(problem('hook', :hook_missing) if hook.nil?), (problem('folded', :loop_needs_fold) if folded.zero?)].compact
          end

          # Loop and button or hook with their knots, or the sliding knot.
          def closing_length
            case closure
            when :loop then button.along + (button.outer / 2) + (knot_length * 2)
            when :hook then loop_inside + hook.along + (knot_length * 2)
            when :slider then slider ? slider.along : knot_length * 2
            else cord_end.along * 2
            end
          end

          # The loop goes round the button; the slider's two knots are tied round the other end; a stop knot on each end.
          def closing_consumption
            return Measure::Length::ZERO if closure == :cord_ends

            knots = taken_by_knot * 2
            return knots + (button.outer * Math::PI) if closure == :loop
            return knots if closure == :hook

            (slider ? Measure::Length::ZERO : knots) + (free_tail ? bundle * barrel(STOP_TURNS) * stop_knots : Measure::Length::ZERO)
          end

          # @return [Integer] on both ends together
          def stop_knots
            stop_bead ? 4 : 2
          end

          # @return [(Array<Element>, Array<Element>)] before the first bare stretch and after the last
          def closing_row
            tied = KnottedRow::Cell.new(kind: :knot, length: knot_length).element(bundle, knot_across)
            case closure
            when :loop then [[Making::ThreadedElement.of(button), tied], [tied, Making::ThreadedElement.bare(button.outer / 2, bundle)]]
            when :hook then [[Making::ThreadedElement.bare(loop_inside, bundle), tied], [tied, Making::ThreadedElement.of(hook)]]
            when :slider then [slider ? [Making::ThreadedElement.of(slider)] : [tied, tied], []]
            else [[Making::ThreadedElement.of(cord_end)], [Making::ThreadedElement.of(cord_end)]]
            end
          end

          def closing_parts
            part, number = { loop: [button, 1], cord_ends: [cord_end, 2], slider: [slider, 1], hook: [hook, 1] }.fetch(closure)
            stops = count(stop_bead, 2, :stop) if closure == :slider && free_tail && stop_bead
            [(count(part, number, part.kind) if part), stops].compact
          end

          def closing_steps
            return glued_ends if closure == :cord_ends
            return hooked if closure == :hook

            [closing_step, (stop_step if closure == :slider && free_tail),
             step('trim', 'trimming', cords, shuts: %i[tails], cautions: %i[cutting])].compact
          end

          def stop_step
            step('stop', 'stop_knot', stop_knots, needs: %i[tails], gives: %i[stop], text: :"knotted_cord_stop#{'_bead' if stop_bead}")
          end

          # Knots that were left soft are drawn tight before the ends are closed.
          CLOSES = { needs: %i[length], shuts: %i[soft] }.freeze

          # The last knot is pulled when the piece was tried on.
          def hooked
            [step('close', 'overhand_knot', 1, effort: Strung::SECOND_END_EFFORT, **CLOSES, gives: %i[hook], values: { all: cords + 1 },
              text: :knotted_cord_close_hook),
             step('fit', 'trying_on', 1, needs: %i[hook], gives: %i[fitted], checkpoint: true),
             step('trim', 'trimming', cords, needs: %i[fitted], cautions: %i[cutting], values: { left: Measure::Length.mm(ENDS_LEFT_MM) },
               text: :knotted_cord_trim_left)]
          end

          # @return [Boolean] whether a fold is knotted into a loop before the first bead
          def starts_with_loop?
            folded.positive? && %i[loop hook].include?(closure)
          end

          # Bound and trimmed, they go into the ends together.
          def glued_ends
            [step('trim', 'trimming', cords, **CLOSES, gives: %i[trimmed], cautions: %i[cutting], text: :knotted_cord_trim_first),
             step('glue', 'gluing', 2, needs: %i[trimmed], gives: %i[cord_end], waits: Stretch::GLUE_MINUTES, cautions: %i[cement])]
          end

          def closing_step
            return step('slide', 'slider_threading', 2, **CLOSES, gives: %i[slider tails]) if closure == :slider && slider

            ends = starts_with_loop? ? 1 : 2
            step('close', closure == :slider ? 'slider_knot' : 'overhand_knot', ends, **CLOSES, gives: %i[button tails],
              effort: Strung::SECOND_END_EFFORT,
              text: :"knotted_cord_close_#{starts_with_loop? ? :button : closure}")
          end

          def closing_shapes(solution)
            return [part_shape(button, :button, button.along.to_mm / 2)] if closure == :loop
            return [part_shape(hook, :hook, solution.length.to_mm - (hook.along.to_mm / 2))] if closure == :hook
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
