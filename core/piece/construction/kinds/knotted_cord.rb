# frozen_string_literal: true

module Core
  module Construction
    module Kinds
      # Beads held on one or several cords by knots, closed by a slider, a loop over a button, or glued ends. Knots stand on both sides of
      # each group of beads, or neighbours share them; beads repeat until the length is reached, or are a list and bare cord takes the rest.
      # On two or three lanes each bead of the list takes all cords but one, in turn, and a small bead sits knotted on the one that is free.
      class KnottedCord < Base
        key :knotted_cord
        rank 70
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

        technique 'slider_knot', name: 'Sliding knot', level: 2, seconds: 120, demonstration_minutes: 4, prerequisites: %w[barrel_knot],
          practice: 'one sliding knot on scrap cord', practice_minutes: 5, left_hand: 'Wind away from you',
          points: ['Tie round the other cord, not round itself', 'Slide it before the ends are cut'],
          goes_wrong: ['It does not slide | pulled too hard | loosen it with a pin | before the ends are cut | 2 | 0']
        technique 'stop_knot', name: 'Stop knot', level: 1, seconds: 30, demonstration_minutes: 2, prerequisites: %w[overhand_knot],
          practice: 'two stop knots', practice_minutes: 2, points: ['Twice round before it is drawn up'],
          goes_wrong: ['It slips through the bead | once round only | tie a second one on it | before the end is cut | 1 | 0']

        measures :knot_takes, unit: :mm, range: 1..500

        parameter :cord, :line
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
        parameter :bare, :length, default: '10 mm', range: Measure::Length.mm(0)..Measure::Length.mm(200)
        parameter :closure, :choice, of: %i[loop slider cord_ends], default: :loop
        # A bead or slider that both ends run through and that holds them by friction, in place of a sliding knot.
        parameter :slider, :part, of: %i[slider bead], required: false
        # Beyond the slider to a stop knot on each end; without one the ends are cut there.
        parameter :free_tail, :length, required: false, range: Measure::Length.mm(20)..Measure::Length.mm(300)
        # Glued on both ends of the cords, in place of a loop or a slider.
        parameter :cord_end, :part, of: %i[cord_end], required: false
        # The bead that the loop passes over.
        parameter :button, :part, of: %i[bead pendant], required: false

        def problems
          [(problem('beads', :pattern_of_nothing) if beads.empty?),
           (problem('beads', :nothing_may_fill) if beads.fills?),
           (problem('folded', :too_many_folded, cords: cords) if folded * 2 > cords),
           (problem('lanes', :lanes_need_cords, lanes: lanes) if lanes > 1 && cords != lanes),
           (problem('small_bead', :small_bead_missing) if lanes > 1 && small_bead.nil?),
           (problem('button', :button_missing) if closure == :loop && button.nil?),
           (problem('cord_end', :cord_end_missing) if closure == :cord_ends && cord_end.nil?)].compact
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
          solution = super
          return solution if !stretches? || solution.is_a?(Making::OutOfReach)

          solution.with(repeats: 1, length: target, deviation: Measure::Length::ZERO, other_ways: Lazy::NOTHING)
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

        # @return [Measure::Length] across all cords bundled, by the circle-packing ratio
        def bundle
          cord.thickness * Measure::Bundle.ratio(cords)
        end

        def knot_length
          bundle * KNOT_ALONG
        end

        def knot_across
          bundle * KNOT_ACROSS
        end

        def row_height
          [tallest(sequence), knot_across / 2].max
        end

        # @param number [Integer] cords that are tied into it @return [Measure::Length] cord that one knot takes, for each cord
        def taken_by_knot(number = cords)
          (@taken ||= {})[number] ||= Measure::Length.mm(knot_measure(number).value)
        end

        # A barrel knot of t turns takes (2π·t + 4) thicknesses of what is knotted (from memory).
        def knot_measure(number)
          usual = cord.thickness.to_mm * Measure::Bundle.ratio(number) * (knot == :barrel ? barrel(turns) : OVERHAND)
          measure(:knot_takes, cord, "#{knot}#{turns if knot == :barrel}-#{number}", usual)
        end

        def barrel(turns)
          (2 * Math::PI * turns) + 4
        end

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

        # @return [Integer] knots that all cords are tied into along the row
        def row_knots(repeats)
          cells(repeats).count(&:knot?)
        end

        # @return [Array<Integer>] knots of each lane alone: one on each side of each of its small beads
        def lane_knots(repeats)
          return [0] * cords if lanes == 1

          (0...lanes).map { |lane| 2 * items(repeats).each_index.count { |i| free_lane(i) == lane } }
        end

        # The first lane runs through every bead; the others change places at each.
        def free_lane(index)
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

        # @return [(Array<Element>, Array<Element>)] before the first bare stretch and after the last
        def closing_row
          tied = KnottedRow::Cell.new(kind: :knot, length: knot_length).element(bundle, knot_across)
          case closure
          when :loop then [[Making::ThreadedElement.of(button), tied], [tied, Making::ThreadedElement.bare(button.outer / 2, bundle)]]
          when :slider then [slider ? [Making::ThreadedElement.of(slider)] : [tied, tied], []]
          else [[Making::ThreadedElement.of(cord_end)], [Making::ThreadedElement.of(cord_end)]]
          end
        end

        def small_parts(repeats)
          lanes > 1 ? [count(small_bead, smalls(repeats), :small)] : []
        end

        def closing_parts
          part, number = { loop: [button, 1], cord_ends: [cord_end, 2], slider: [slider, 1] }.fetch(closure)
          part ? [count(part, number, part.kind)] : []
        end

        # A folded cut serves two cords at once; the first cords are folded.
        def cuts(solution, maker)
          own = lane_knots(solution.repeats).map { |knots| (taken_by_knot(1) * knots) + shared_consumption(solution.repeats) }
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

        def lengths(solution)
          n = solution.repeats
          knots, bare, parts = KnottedRow.sums(filled(solution))
          Making::Lengths.new(beaded: solution.length, play: play, repeats: stretches? ? nil : n, unit: fill.step,
            working: [term(:closure, closing_length), term(:row_beads, parts),
                      (term(:knots_of, knots, count: row_knots(n), each: knot_length) if row_knots(n).positive?),
                      term(:bare_cord, bare)].compact)
        end

        def steps(repeats)
          technique = knot == :barrel ? 'barrel_knot' : 'overhand_knot'
          knots = row_knots(repeats) + lane_knots(repeats).sum
          beads = items(repeats).size
          [step('cut', 'cutting_line', cords - folded, preparable: true, text: cut_words),
           step('gather', 'measuring', 1, after: %w[cut], text: gather_words, values: { count: folded }),
           step('knot', technique, [knots, 1].max, after: %w[gather], text: knot_words,
             values: { beads: beads, knots: knots, small: smalls(repeats) }),
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

          [step('snug', 'measuring', 1, effort: Rational(knots, SNUG_A_MINUTE), after: %w[check_length], values: { knots: knots })]
        end

        # So many knots are drawn tight in the time of one measuring (from memory).
        SNUG_A_MINUTE = 8

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

        def joins
          closing = {
            cord_ends: (Making::Join.new(kind: :cord_in_end, inner: cord, outer: cord_end, at: 0.0, passes: cords) if cord_end),
            slider: (Making::Join.new(kind: :holds_by_friction, inner: cord, outer: slider, at: 0.0,
              passes: 2 * cords) if slider)
          }[closure]
          [*through(cord, sequence, passes: lanes > 1 ? lanes - 1 : cords), *(through(cord, [small_bead]) if lanes > 1), *closing]
        end

        # At each bead: what hangs there is on the cord before the knots beside it are tied.
        def anchors(solution)
          inner = beads.origins(0, 'beads')
          inner += inner.reverse.drop(1) if mirrored
          origins = inner * solution.repeats
          KnottedRow.placed(filled(solution), first_length).select { |cell, _, _| cell.kind == :bead }.map do |cell, x, index|
            Making::Anchor.new(item: cord, x: x, y: cell.part.outer.to_mm / 2, origin: origins[index], closing_step: 'knot')
          end
        end

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

        def closing_shapes(solution)
          return [part_shape(button, :button, button.along.to_mm / 2)] if closure == :loop
          return slider ? [part_shape(slider, :slider, slider.along.to_mm / 2)] : [] if closure == :slider

          half = cord_end.along.to_mm / 2
          [half, solution.length.to_mm - half].map { |x| part_shape(cord_end, :cord_end, x) }
        end

        def knot_shape(x_mm)
          Making::Shape.new(item: cord, role: :line, x: x_mm, y: 0.0, along: knot_length.to_mm, across: knot_across.to_mm, form: :knot)
        end
      end
    end
  end
end
