# frozen_string_literal: true

module Core
  module Construction
    module Kinds
      # Beads held on one or several cords by knots, closed by a slider, a loop over a button or a hook, or glued ends. Knots stand on
      # both sides of
      # each group of beads, or neighbours share them; beads repeat until the length is reached, or are a list and bare cord takes the rest.
      # On two or three lanes each bead of the list takes all cords but one, in turn, and a small bead sits knotted on the one that is free.
      class KnottedCord < Base
        key :knotted_cord
        rank 70
        drawn_tight
        takes_hanging

        # A knot lies about this many bundle thicknesses along the cord (from memory).
        KNOT_ALONG = 3
        # and across it (from memory).
        KNOT_ACROSS = Rational(9, 5)
        # Cord an overhand knot takes, in thicknesses of what is knotted (from memory).
        OVERHAND = 12
        # How far a sliding knot opens the piece, and the cord each end needs to be pulled by (from memory).
        SLIDER_PLAY_MM = 60
        PULL_MM = 60
        # Turns of the knot that keeps an end from slipping through the slider (common practice, no source).
        STOP_TURNS = 2
        # A barrel knot is tied over the end: hands need more of it than to tie and pull (common practice, no source: 152; the others from
        # memory).
        TIED_OVER_MM = { lean: 120, usual: 150, generous: 200 }.freeze
        MOST_LANES = 3
        # Cord that is folded back through a hook into the last knot, and what is left beyond it (common practice, no source).
        FOLD_BACK_MM = 50
        ENDS_LEFT_MM = 13

        measures :knot_takes, unit: :mm, range: 1..500

        parameter :cord, :line
        include Drawing
        include Closing
        include Work
        include KnotSizes

        parameter :cords, :integer, default: 1, range: 1..6
        # Cuts that are folded in the middle, each of which makes two cords.
        parameter :folded, :integer, default: 0, range: 0..3
        parameter :beads, :pattern
        # The list is worked there and back, the last bead once.
        parameter :mirrored, :boolean, default: false
        parameter :rest, :choice, of: %i[more_beads bare_cord], default: :more_beads
        parameter :knots, :choice, of: %i[on_both_sides neighbours_share], default: :on_both_sides
        parameter :knot, :choice, of: %i[overhand barrel], default: :overhand
        # Turns of a barrel knot.
        parameter :turns, :integer, default: 3, range: 2..8
        # Drawn tight once the length is right, or each at once.
        parameter :snug, :choice, of: %i[tight_at_once tight_once_tried_on], default: :tight_at_once
        parameter :lanes, :integer, default: 1, range: 1..MOST_LANES
        parameter :small_bead, :part, of: %i[bead], required: false
        # In turn with the first.
        parameter :other_small_bead, :part, of: %i[bead], required: false
        # The lane that stays out of a bead: each in turn, or never the first, which is so kept longest.
        parameter :borrowed, :choice, of: %i[one_kept in_turn], default: :one_kept
        parameter :work_from, :choice, of: %i[one_end middle], default: :one_end
        parameter :bare, :length, default: '10 mm', range: Measure::Length.mm(0)..Measure::Length.mm(200)
        parameter :closure, :choice, of: %i[loop slider cord_ends hook], default: :loop, group: :cord_end
        # A bead or slider that both ends run through and that holds them by friction, in place of a sliding knot.
        parameter :slider, :part, of: %i[slider bead], required: false, only_with: { closure: %i[slider] }, group: :cord_end
        # Beyond the slider to a stop knot on each end; without one the ends are cut there.
        parameter :free_tail, :length, required: false, range: Measure::Length.mm(20)..Measure::Length.mm(300),
          only_with: { closure: %i[slider] }, group: :cord_end
        # Between two stop knots on each end.
        parameter :stop_bead, :part, of: %i[bead finishing], required: false, only_with: { closure: %i[slider] }, group: :cord_end
        # Folded into the longest cord; the fold at the other end goes over it.
        parameter :hook, :part, of: %i[hook clasp], required: false, only_with: { closure: %i[hook] }, group: :cord_end
        parameter :loop_inside, :length, default: '19 mm', range: Measure::Length.mm(5)..Measure::Length.mm(60),
          only_with: { closure: %i[hook] }, group: :cord_end
        # Glued on both ends of the cords, in place of a loop or a slider.
        parameter :cord_end, :part, of: %i[cord_end], required: false, only_with: { closure: %i[cord_ends] }, group: :cord_end
        # The bead that the loop passes over.
        parameter :button, :part, of: %i[bead pendant], required: false, only_with: { closure: %i[loop] }, group: :cord_end

        def problems
          [(problem('beads', :pattern_of_nothing) if beads.empty?),
           (problem('beads', :nothing_may_fill) if beads.fills?),
           (problem('folded', :too_many_folded, cords: cords) if folded * 2 > cords),
           (problem('lanes', :lanes_need_cords, lanes: lanes) if lanes > 1 && cords != lanes),
           (problem('small_bead', :small_bead_missing) if lanes > 1 && small_bead.nil?),
           (problem('button', :button_missing) if closure == :loop && button.nil?),
           (problem('cord_end', :cord_end_missing) if closure == :cord_ends && cord_end.nil?), *hook_problems].compact
        end

        def fill
          @fill ||= if stretches?
                      Making::Fill.new(base: closing_length + KnottedRow.taken(cells(1)), step: Measure::Length.mm(1), height: row_height,
                        fewest: 0, most: 5000)
                    else
                      one, two = [1, 2].map { |repeats| KnottedRow.taken(cells(repeats)) }
                      Making::Fill.new(base: closing_length + one - (two - one), step: two - one, height: row_height,
                        most: Pattern::LARGEST / sequence.size)
                    end
        end

        # Bare cord meets any length.
        def stretches?
          rest == :bare_cord
        end

        def solve(target)
          stretches? ? super.stretched_to(target, repeats: 1) : super
        end

        def play
          return Measure::Length::ZERO unless closure == :slider

          free_tail ? free_tail * 2 : Measure::Length.mm(SLIDER_PLAY_MM)
        end

        # However long its ends are, it is drawn in for the wrist as far as a sliding knot is.
        def tightened_by
          [play, Measure::Length.mm(SLIDER_PLAY_MM)].min / 2
        end

        # Of the knots along the row, and of those on one lane.
        def measurable
          [(knot_measure(cords) if row_knots(1).positive?), (knot_measure(1) if lanes > 1)].compact
        end

        def on_line(solution)
          before, after = closing_row
          [*before, *filled(solution).map { |cell| cell.element(bundle, knot_across) }, *after]
        end

        private

        # @return [Array<Catalogue::Part>] the list once, there and back where it is mirrored
        def sequence
          @sequence ||= beads.expand.then { |list| mirrored ? list + list.reverse.drop(1) : list }
        end

        def items(repeats)
          sequence * repeats
        end

        # @return [Array<KnottedRow::Cell>] between the ends of the closure; bare cord that takes the rest has no length yet
        def cells(repeats)
          KnottedRow.cells(sequence, repeats, knot: knot_length, bare: bare, knots: lanes > 1 ? :none : knots, rest: rest)
        end

        def filled(solution)
          KnottedRow.stretched(cells(solution.repeats), solution.length - closing_length)
        end

        # @return [Integer] knots that all cords are tied into along the row
        def row_knots(repeats)
          cells(repeats).count(&:knot?)
        end

        # @return [Array<Integer>] knots of each lane alone: one on each side of each of its small beads
        def lane_knots(repeats)
          return [0] * cords if lanes == 1

          (0...lanes).map { |lane| 2 * items(repeats).each_index.count { |i| free_lane(i) == lane } }
        end

        # A lane that carries a small bead goes through the next large one.
        def free_lane(index)
          return index % lanes if borrowed == :in_turn

          lanes == 2 ? 1 : 1 + (index % 2)
        end

        def smalls(repeats)
          lanes > 1 ? items(repeats).size : 0
        end

        def work_up(solution, maker)
          repeats = solution.repeats
          Making::WorkUp.new(parts: [*tally(items(repeats).map { |part| [part, :bead] }), *small_parts(repeats), *closing_parts],
            cuts: cuts(solution, maker), steps: steps(repeats), joins: joins, drawing: Lazy.new { layout(solution) },
            lengths: lengths(solution),
            anchors: Lazy.new { anchors(solution) })
        end

        def small_parts(repeats)
          lanes > 1 ? tally((0...smalls(repeats)).map { |i| [small_at(i), :small] }) : []
        end

        def small_at(index)
          index.odd? && other_small_bead ? other_small_bead : small_bead
        end

        # A folded cut serves two cords at once; the first cords are folded.
        def cuts(solution, maker)
          knots = lane_knots(solution.repeats)
          own = knots.map { |number| (taken_by_knot(1) * number) + shared_consumption(solution.repeats) }
          own[knots.index(knots.min)] += Measure::Length.mm(FOLD_BACK_MM) if closure == :hook
          double, single = own.each_slice(2).first(folded), own.drop(folded * 2)
          [*single.tally.map { |consumption, number| cut(:cord, number, solution.length, consumption, maker) },
           *double.tally.map { |pair, number| cut(:folded_cord, number, solution.length * 2, Measure::Length.sum(pair), maker) }]
        end

        def shared_consumption(repeats)
          (taken_by_knot * row_knots(repeats)) + closing_consumption
        end

        def cut(role, number, body, consumption, maker)
          Making::Cut.new(line: cord, count: number, role: role, body: body, consumption: consumption, tails: end_length(maker) * 2)
        end

        def lengths(solution)
          n = solution.repeats
          knots, bare, parts = KnottedRow.sums(filled(solution))
          Making::Lengths.new(beaded: solution.length, play: play, repeats: stretches? ? nil : n, unit: fill.step,
            working: [term(:closure, closing_length), term(:row_beads, parts),
                      (term(:knots_of, knots, count: row_knots(n), each: knot_length) if row_knots(n).positive?),
                      term(:bare_cord, bare)].compact)
        end

        # So many knots are drawn tight in the time of one measuring (from memory).
        SNUG_A_MINUTE = 8

        def joins
          closing = {
            cord_ends: (Making::Join.new(kind: :cord_in_end, inner: cord, outer: cord_end, at: 0.0, passes: cords) if cord_end),
            slider: (Making::Join.new(kind: :holds_by_friction, inner: cord, outer: slider, at: 0.0,
              passes: 2 * cords) if slider)
          }[closure]
          [*through(cord, sequence, passes: lanes > 1 ? lanes - 1 : cords), *(through(cord, [small_bead, *other_small_bead]) if lanes > 1),
*closing]
        end

        # At each bead: what hangs there is on the cord before the knots beside it are tied.
        def anchors(solution)
          inner = beads.origins(0, 'beads')
          inner += inner.reverse.drop(1) if mirrored
          origins = inner * solution.repeats
          KnottedRow.placed(filled(solution), first_length).select { |cell, _, _| cell.kind == :bead }.map do |cell, x, index|
            Making::Anchor.new(item: cord, x: x, y: cell.part.outer.to_mm / 2, origin: origins[index], shut_with: :knotted)
          end
        end
      end
    end
  end
end
