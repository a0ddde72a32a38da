# frozen_string_literal: true

module Core
  module Construction
    module Kinds
      class KnottedCord
        # The steps from the cut cords to the knotted row.
        module Work
          private

          def steps(repeats)
            technique = knot == :barrel ? 'barrel_knot' : 'overhand_knot'
            knots = row_knots(repeats) + lane_knots(repeats).sum
            beads = items(repeats).size
            [step('cut', 'cutting_line', cords - folded, preparable: true, text: cut_words),
             step('gather', 'measuring', 1, after: %w[cut], text: gather_words, values: { count: folded }),
             step('knot', technique, [knots, 1].max, after: %w[gather], text: knot_words,
               values: { beads: beads, knots: knots, small: smalls(repeats) }, order: items(repeats)),
             step('check_length', 'measuring', 1, after: %w[knot], checkpoint: true, values: { beads: beads }),
             *snug_step(knots), *closing_steps]
          end

          def knot_words
            return :knotted_cord_lanes if lanes > 1

            knots == :neighbours_share ? :knotted_cord_knot_shared : :knotted_cord_knot
          end

          # A knot that is left soft is drawn tight once the piece was tried on.
          def cut_words
            return :knotted_cord_cut if folded.zero?

            cords > folded * 2 ? :knotted_cord_cut_both : :knotted_cord_cut_folded
          end

          def gather_words
            return :knotted_cord_lay if cords == 1

            folded.positive? ? :knotted_cord_gather_folded : :knotted_cord_gather
          end

          def snug_step(knots)
            return [] if snug == :tight_at_once || knots.zero?

            [step('snug', 'trying_on', 1, effort: Rational(knots, SNUG_A_MINUTE), after: %w[check_length], values: { knots: knots })]
          end
        end
      end
    end
  end
end
