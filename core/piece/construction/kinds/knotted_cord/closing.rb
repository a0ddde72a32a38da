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

          # What stands at its ends: a loop that lies round a button or over a hook, a slider that both ends run through, or two sliding
          # knots with a stop knot on each end beyond them, or caps that the ends are glued into.
          # @return [Array(Making::CordEnd, Making::CordEnd)] the first end and the last
          def cord_ends
            @cord_ends ||= items_of_ends.map { |items| Making::CordEnd.new(line: cord, lines: cords, items: items) }
          end

          def items_of_ends
            tied = Making::CordEnd.knot(knot_length)
            case closure
            when :loop then [[tied, Making::CordEnd.with(button)], [tied, Making::CordEnd.loop(button.outer, button.outer / 2)]]
            when :hook then [[tied, Making::CordEnd.loop(loop_inside)], [tied.with(number: cords + 1), Making::CordEnd.with(hook, :held)]]
            when :slider then [[*(slider ? [Making::CordEnd.with(slider)] : [tied, tied]), *stops], []]
            else [[Making::CordEnd.with(cord_end, :socket)]] * 2
            end
          end

          # On each of the two ends.
          def stops
            return [] unless free_tail

            stop = Making::CordEnd.knot(cord.thickness * KNOT_ALONG, beyond: true)
            stop_bead ? [stop, Making::CordEnd.with(stop_bead, beyond: true), stop] : [stop]
          end

          def closing_length
            Measure::Length.sum(cord_ends.map(&:length))
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
            first, last = cord_ends.map { |one| one.on_line(bundle, knot_across) }
            [first.reverse, last]
          end

          # A slider holds both ends; a bead between stop knots stands on each.
          def closing_parts
            parts = cord_ends.flat_map(&:parts)
            parts << stop_bead if parts.include?(stop_bead)
            tally(parts.map { |part| [part, part == stop_bead ? :stop : ROLES.fetch(closure)] })
          end

          # Of what a cord closes with, as it is drawn.
          ROLES = { loop: :button, hook: :hook, slider: :slider, cord_ends: :cord_end }.freeze

          def closing_steps
            return glued_ends if closure == :cord_ends
            return hooked if closure == :hook

            [closing_step.with(pictured: (slider || closure == :loop ? cord_ends.first : nil)),
             (stop_step if closure == :slider && free_tail),
             step('trim', 'trimming', cords, gives: %i[trimmed], shuts: %i[tails], cautions: %i[cutting])].compact
          end

          def stop_step
            step('stop', 'stop_knot', stop_knots, needs: %i[tails], gives: %i[stop], text: :"knotted_cord_stop#{'_bead' if stop_bead}")
          end

          # Knots that were left soft are drawn tight before the ends are closed.
          CLOSES = { needs: %i[length], shuts: %i[soft] }.freeze

          # The last knot is pulled when the piece was tried on.
          def hooked
            [step('close', 'overhand_knot', 1, effort: Strung::SECOND_END_EFFORT, **CLOSES, gives: %i[hook], values: { all: cords + 1 },
              text: :knotted_cord_close_hook, pictured: cord_ends.last),
             step('fit', 'trying_on', 1, needs: %i[hook], gives: %i[fitted], checkpoint: true),
             step('trim', 'trimming', cords, needs: %i[fitted], gives: %i[trimmed], cautions: %i[cutting],
               values: { left: Measure::Length.mm(ENDS_LEFT_MM) },
               text: :knotted_cord_trim_left)]
          end

          # @return [Boolean] whether a fold is knotted into a loop before the first bead
          def starts_with_loop?
            folded.positive? && %i[loop hook].include?(closure)
          end

          # Bound and trimmed, they go into the ends together.
          def glued_ends
            [step('trim', 'trimming', cords, **CLOSES, gives: %i[trimmed], cautions: %i[cutting], text: :knotted_cord_trim_first),
             step('glue', 'gluing', 2, needs: %i[trimmed], gives: %i[cord_end], pictured: cord_ends.first,
               waits: Stretch::GLUE_MINUTES, cautions: %i[cement])]
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
