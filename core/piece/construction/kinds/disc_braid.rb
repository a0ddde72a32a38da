# frozen_string_literal: true

module Core
  module Construction
    module Kinds
      # A round braid worked on a slotted disc, bare or with beads by a chart: each strand is loaded first, each move adds one bead. Ends
      # are left bare, bound and glued into caps.
      class DiscBraid < Base
        key :disc_braid
        rank 190
        drawn_tight

        # How much of a strand one length of braid takes, and what hands need at its end (from memory).
        TAKE_UP = 2
        HOLD_MM = { lean: 110, usual: 150, generous: 200 }.freeze
        # Until a glued end can be handled; it cures overnight (from memory).
        GLUE_MINUTES = 15
        STRANDS = %w[8 12 16].freeze

        measures :rows_in_50, unit: :number, range: 1..200

        parameter :cord, :line
        parameter :strands, :choice, of: STRANDS, default: '8'
        # Bare without one.
        parameter :chart, :chart, required: false
        # Common practice, no source: 10 to 20.
        parameter :bare_end, :length, default: '12 mm', range: Measure::Length.mm(5)..Measure::Length.mm(60), group: :cord_end
        parameter :cap, :part, of: %i[cord_end], required: false, group: :cord_end
        # In hundredths of the tightest bundle: binding and glue take room (from memory).
        parameter :bound_end, :integer, default: 160, range: 100..300, group: :cord_end
        # A maker's own measure, in place of geometry: rows of beads in 50 mm; 0 where there is none.
        parameter :rows_in_50, :integer, default: 0, range: 0..200

        def problems
          return [] unless chart

          [(problem('chart', :chart_strands, chart: chart.strands, strands: number) if chart.strands != number)].compact
        end

        # One more bead on each strand makes two rows more.
        def fill
          @fill ||= if chart
                      Making::Fill.new(base: plain, step: row * 2, height: across / 2, fewest: 1, most: Pattern::LARGEST / number)
                    else
                      Making::Fill.new(base: plain, step: Measure::Length.mm(1), height: across / 2, fewest: 10, most: 2000)
                    end
        end

        def solve(target)
          chart ? super : super.stretched_to(target, repeats: 0)
        end

        def stretches?
          chart.nil?
        end

        def measurable
          chart ? [rows] : []
        end

        def on_line(solution)
          beside = cord_end.on_line(bundle, bundle)
          [*beside, Making::ThreadedElement.new(along: solution.length - plain, height: across / 2, width: across, profile: :bare), *beside]
        end

        private

        def number
          strands.to_i
        end

        def widest
          @widest ||= chart.palette.values.max_by(&:outer)
        end

        def row
          @row ||= Measure::Length.mm(50 / rows.value)
        end

        # Rows lie one bead apart (from memory), or as the project says, or as someone measured their own.
        def rows
          usual = rows_in_50.positive? ? rows_in_50.to_f : 50 / widest.outer.to_mm
          measure(:rows_in_50, cord, widest.key, usual)
        end

        # @return [Making::CordEnd] at both ends: bare ends go into the caps where there are any
        def cord_end
          items = [cap ? Making::CordEnd.with(cap, :socket) : Making::CordEnd::Item.new(kind: :band, length: bare_end)]
          @cord_end ||= Making::CordEnd.new(line: cord, lines: number, items: items)
        end

        # What is worn beside the braid itself.
        def plain
          cord_end.length * 2
        end

        # Cords side by side in a round bundle (circle packing).
        def bundle
          cord.thickness * Measure::Bundle.ratio(number)
        end

        # A round of beads about the bundle, half the strands at once.
        def across
          return bundle unless chart

          bundle + (widest.outer * 2)
        end

        def work_up(solution, maker)
          beads = solution.repeats
          totals = chart ? chart.totals(beads) : []
          Making::WorkUp.new(parts: totals.map { |part, many| count(part, many, :bead) } + (cap ? [count(cap, 2, :cap)] : []),
            cuts: [cut(solution, maker)],
            steps: steps(solution, totals.sum(&:last)), joins: joins, drawing: Lazy.new { layout(solution) }, lengths: lengths(solution),
            loading: chart ? Lazy.new { (0...number).map { |i| [i + 1, chart.runs(i, beads)] } } : Lazy::NOTHING,
            cards: Lazy.new { [Making::DiscStart.new(strands: number)] }, ends: ends)
        end

        def ends
          item = cap || cord
          { first: Making::Attachment.new(item: item, shut_with: (:tied unless cap)),
            last: Making::Attachment.new(item: item, shut_with: (:tied unless cap)) }
        end

        # Half as many cords as strands, folded in the middle.
        def cut(solution, maker)
          strand = solution.length - plain + (bare_end * 2)
          Making::Cut.new(line: cord, count: number / 2, role: :folded, body: strand * 2, consumption: strand * (TAKE_UP - 1) * 2,
            tails: Measure::Length.mm(HOLD_MM.fetch(maker.tails_on(cord))) * 2,
            worked: chart && Making::Worked.new(step: 'braid', unit: :row, number: solution.repeats * 2, ends: 2))
        end

        def lengths(solution)
          rows = solution.repeats * 2
          Making::Lengths.new(beaded: solution.length, repeats: (solution.repeats if chart), unit: (fill.step if chart),
            working: [cap ? term(:caps, cap.along * 2) : term(:bare_ends, bare_end * 2),
                      chart ? term(:rows_of, row * rows, count: rows, each: row) : term(:bare_braid, solution.length - plain)].compact)
        end

        def joins
          (chart ? through(cord, chart.palette.values) : []) +
            (cap ? [Making::Join.new(kind: :bound_in_end, inner: cord, outer: cap, at: 0.0, passes: number,
              swollen: Rational(bound_end, 100))] : [])
        end

        # Moves of a braid without beads, about: one for each strand and thickness of cord.
        def moves(solution, beads)
          beads.positive? ? beads : (number * (solution.length - plain).to_mm / (cord.thickness.to_mm * 4)).round
        end

        def steps(solution, beads)
          braid = chart ? (number > 8 ? 'bead_braid_12' : 'bead_braid_8') : 'round_braid_8'
          load = { beads: beads, each: beads / number }
          values = { strands: number, cords: number / 2, rule: number == 8 ? 'eight' : 'more' }
          [step('cut', 'cutting_line', number / 2, gives: %i[cut tip], values: values),
           (step('load', 'loading_strand', beads, needs: %i[tip], values: load) if chart),
           step('set_up', 'braid_set_up', 1, effort: Rational(number, 12), needs: %i[cut], gives: %i[on_disc], shuts: %i[tip],
             values: values,
             keeps: { 'braiding_disc' => :on_disc, 'braid_weight' => :on_disc }),
           step('braid', braid, moves(solution, beads), needs: %i[on_disc], gives: %i[line bead],
             values: values.merge(beads: beads, bare: bare_end, length: solution.length),
             text: chart ? :disc_braid_braid : :disc_braid_braid_plain),
           step('check_length', 'measuring', 1, needs: %i[line], gives: %i[length], checkpoint: true, values: { length: solution.length }),
           step('tie_off', 'tying_off_braid', 2, needs: %i[length], gives: %i[tied], shuts: %i[on_disc]),
           step('trim', 'trimming', 2, needs: %i[tied], gives: %i[trimmed], cautions: %i[cutting]),
           (step('cap', 'binding_capping', 2, needs: %i[trimmed], gives: %i[cap], pictured: cord_end, waits: GLUE_MINUTES,
             cautions: %i[cement]) if cap)].compact
        end

        def layout(solution)
          start = plain.to_mm / 2
          long = solution.length.to_mm
          capped = cap ? cap.along.to_mm : 0.0
          [line_shape(cord, long - (2 * capped), from: capped).with(across: bundle.to_mm),
           *(cap ? [part_shape(cap, :cap, capped / 2), part_shape(cap, :cap, long - (capped / 2)).with(turn: 180)] : []),
           *(chart ? bead_shapes(solution, start) : [])]
        end

        # Strands 1, 3, 5 … move from the top at one stop after the other, 2, 4, 6 … from the bottom at the same stops: their beads lie
        # opposite. Rows go round the bundle and a little on with each; what lies behind is drawn too, and hidden by what lies before.
        def bead_shapes(solution, start)
          half = (across.to_mm - widest.outer.to_mm) / 2
          placed = (0...(solution.repeats * 2)).flat_map do |line|
            (0...(number / 2)).map do |i|
              angle = (2 * Math::PI * i / (number / 2)) + (line * 0.5) + (line.odd? ? Math::PI : 0.0)
              part = chart.palette.fetch(chart.rows[(line / 2) % chart.rows.size][(i * 2) + (line % 2)])
              [Math.cos(angle), part_shape(part, :bead, start + ((line + 0.5) * row.to_mm), half * Math.sin(angle))]
            end
          end
          placed.sort_by(&:first).map(&:last)
        end
      end
    end
  end
end
