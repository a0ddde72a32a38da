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
            [step('cut', 'cutting_line', cords - folded, gives: %i[cut], text: cut_words),
             step('gather', 'measuring', 1, needs: %i[cut], gives: %i[bare], text: gather_words, values: { count: folded }),
             *start_loop,
             step('knot', technique, [knots, 1].max, gives: %i[line bead small knotted soft], shuts: %i[bare], text: knot_words,
               values: { beads: beads, knots: knots, small: smalls(repeats), **middle(repeats),
                 smalls: Making::FromBag.new(parts: [small_bead, other_small_bead].compact) }, order: items(repeats)),
             step('check_length', 'measuring', 1, needs: %i[line], gives: %i[length], checkpoint: true, values: { beads: beads }),
             *snug_step(knots), *closing_steps]
          end

          # Where a cord is folded its fold is knotted into a loop before the first bead.
          def start_loop
            return [] unless starts_with_loop?

            text = closure == :hook ? :knotted_cord_start_loop_hook : :knotted_cord_start_loop
            [step('start_loop', 'overhand_knot', 1, needs: %i[bare], gives: %i[start_loop], text: text,
              pictured: cord_ends.find { |one| one.items.any? { |item| item.kind == :loop } })]
          end

          # @return [Hash{Symbol=>Catalogue::Part}] what stands in the middle, where the work starts there
          def middle(repeats)
            from_middle? ? { middle: items(repeats)[items(repeats).size / 2] } : {}
          end

          def from_middle?
            work_from == :middle && cords == 1
          end

          def knot_words
            return :"knotted_cord_lanes#{'_two' if other_small_bead}" if lanes > 1
            return :knotted_cord_knot_middle if from_middle?

            knots == :neighbours_share ? :knotted_cord_knot_shared : :knotted_cord_knot
          end

          # A knot that is left soft is drawn tight once the piece was tried on.
          def cut_words
            return :knotted_cord_cut if folded.zero?

            cords > folded * 2 ? :knotted_cord_cut_both : :knotted_cord_cut_folded
          end

          def gather_words
            return :knotted_cord_mark_middle if from_middle?
            return :knotted_cord_lay if cords == 1

            folded.positive? ? :knotted_cord_gather_folded : :knotted_cord_gather
          end

          def snug_step(knots)
            return [] if snug == :tight_at_once || knots.zero?

            needs = snug == :tight_once_tried_on ? %i[length soft] : %i[length]
            [step('snug', 'trying_on', 1, effort: Rational(knots, SNUG_A_MINUTE), needs: needs, values: { knots: knots })]
          end
        end
      end
    end
  end
end
