# frozen_string_literal: true

module Core
  module Construction
    module Kinds
      # Small groups of beads held apart on the line by crimps or snug spacers. The gaps take up what whole stations leave over.
      # Layers hang together; in every second one the stations fall between those of the first, by half a gap. Crossed, the beads sit on the
      # lines in turn, and all lines run through the holders. Gathered, all layers end in one crimp or shell.
      class Stations < Base
        # Measuring a snug station and pushing it to its place takes as long as so many beads (from memory).
        PLACING = 5

        key :stations

        rank 50
        drawn_tight

        parameter :line, :line
        parameter :lines, :integer, default: 1, range: 1..3
        parameter :layers, :integer, default: 1, range: 1..3
        parameter :station, :pattern
        parameter :holder, :part, of: %i[crimp bead finishing]
        # Common practice, no source: 50 to 75.
        parameter :gap, :length, default: '60 mm', range: Measure::Length.mm(5)..Measure::Length.mm(300)
        # Between the ends and the stations next to them; as all others where none is chosen.
        parameter :last_gap, :length, required: false, range: Measure::Length.mm(0)..Measure::Length.mm(100)
        parameter :crossed, :boolean, default: false
        parameter :gathered, :boolean, default: false
        include Ends::CrimpedEnds

        def problems
          [(problem('station', :pattern_of_nothing) if station.empty?),
           (problem('station', :nothing_may_fill) if station.fills?),
           (problem('crossed', :crossed_needs_lines) if crossed && lines == 1), *end_problems].compact
        end

        def fill
          @fill ||= Making::Fill.new(base: (last_gap ? (last_gap * 2) - gap : gap) + (plain_end.length * 2), step: held_length + gap,
            height: tallest(station.expand),
            fewest: layers > 1 ? 2 : 1, most: 200)
        end

        # Gaps stretch or shrink so that the target is met exactly.
        def stretches?
          true
        end

        # As the first layer lies.
        def on_line(solution)
          bare, last = [true_gap(solution), end_gap(solution)].map { |length| Making::ThreadedElement.bare(length, line.thickness) }
          between = Array.new(solution.repeats) { [bare, *held_elements] }.flatten(1).drop(1)
          [*plain_end.on_line.reverse, last, *between, last, *plain_end.on_line]
        end

        private

        # What arrives in one crimp: all lines of a layer, or of all layers where they are gathered.
        def plain_end
          @plain_end ||= line_end(line, row: station.expand, lines: lines * (gathered ? layers : 1))
        end

        def held
          @held ||= [[holder, :holder], *station.expand.map { |part| [part, :bead] }, [holder, :holder]]
        end

        def held_elements
          @held_elements ||= elements(held.map(&:first))
        end

        def held_length
          @held_length ||= threaded(held.map(&:first))
        end

        # @return [Integer] stations in this layer, from 0
        def stations_in(layer, repeats)
          layer.odd? ? repeats - 1 : repeats
        end

        # Bare line in all.
        def gaps(solution)
          solution.length - (plain_end.length * 2) - (held_length * solution.repeats)
        end

        # Where there is a single station, it has a gap on either side.
        def own_ends?(solution)
          !last_gap.nil? && solution.repeats > 1
        end

        def gap_count(solution)
          own_ends?(solution) ? solution.repeats - 1 : solution.repeats + 1
        end

        def true_gap(solution)
          (gaps(solution) - (own_ends?(solution) ? last_gap * 2 : Measure::Length::ZERO)) / gap_count(solution)
        end

        def end_gap(solution)
          own_ends?(solution) ? last_gap : true_gap(solution)
        end

        # @return [Integer] crimps or shells at both ends together
        def closed_ends
          gathered ? 2 : 2 * layers
        end

        def all_stations(repeats)
          (0...layers).sum { |layer| stations_in(layer, repeats) }
        end

        def work_up(solution, maker)
          parts, steps = work_of(all_stations(solution.repeats))
          apart = true_gap(solution) + held_length
          numbers = (0...layers).map { |layer| stations_in(layer, solution.repeats) }.join(' and ')
          marked = steps.map { |step| step.key == 'mark' ? step.with(values: { **step.values, even: apart, numbers: numbers }) : step }
          Making::WorkUp.new(parts: parts, cuts: [cut(solution, maker)], steps: marked, joins: joins,
            drawing: Lazy.new { layout(solution) }, lengths: lengths(solution),
            cards: Lazy.new { marked_lines(solution) }, ends: both_ends)
        end

        def both_ends
          %i[first last].to_h { |place| [place, hanging_end(plain_end, :"#{place}_end", hanging: lines * layers)] }
        end

        # The same for all who have as many stations, however far apart. @return [(Array<PartUse>, Array<StepUse>)]
        def work_of(total)
          @work_of ||= {}
          @work_of[total] ||= [tally(held, total) + plain_end.parts(closed_ends), steps(total)]
        end

        def cut(solution, maker)
          Making::Cut.new(line: line, count: lines * layers, role: :strand, body: solution.length - (plain_end.loop_length * 2),
            consumption: Measure::Length::ZERO, tails: end_tails(maker, plain_end, plain_end))
        end

        def lengths(solution)
          n = solution.repeats
          count = gap_count(solution)
          ends = end_gap(solution) * 2
          Making::Lengths.new(beaded: solution.length, repeats: n, unit: fill.step,
            working: [term(:crimps, plain_end.length * 2),
                      term(:stations_of, held_length * n, count: n, each: held_length),
                      (term(:end_gaps, ends) if own_ends?(solution)),
                      term(:even_gaps, gaps(solution) - (own_ends?(solution) ? ends : Measure::Length::ZERO), count: count,
                        each: true_gap(solution), asked: gap)].compact)
        end

        def steps(total)
          snug = holder.kind != :crimp
          [step('cut', 'cutting_line', lines * layers, gives: %i[cut], cautions: %i[cutting]),
           step('mark', 'measuring', layers, needs: %i[cut], gives: %i[places], values: { stations: total },
             text: layers > 1 ? :stations_mark_layers : :stations_mark),
           step(snug ? 'set_snug' : 'set_crimped', snug ? 'stringing' : 'station', total, needs: %i[places], gives: %i[line bead holder],
             values: { stations: total, station: Making::FromBag.new(parts: station.expand) }, effort: snug ? held.size + PLACING : 1),
           step('check_length', 'measuring', 1, needs: %i[bead], gives: %i[length], checkpoint: true, values: { stations: total }),
           closing(step('ends', way.technique, closed_ends, needs: %i[length]), plain_end),
           *end_steps(plain_end, closed_ends)]
        end

        def joins
          @joins ||= begin
            kind = holder.kind == :crimp ? :crimp_on_lines : :holds_by_friction
            held_by = Making::Join.new(kind: kind, inner: line, outer: holder, at: 0.0, passes: lines)
            through(line, station.expand, passes: crossed ? 1 : lines) + [held_by] + plain_end.joins
          end
        end

        def layout(solution)
          length = solution.length.to_mm
          pitch = [held.map { |part, _| part.outer.to_mm }.max * 1.15, 4.0].max
          across(layers, pitch).each_with_index.flat_map do |y, layer|
            [line_shape(line, length - (plain_end.loop_length.to_mm * 2), y, from: plain_end.loop_length.to_mm),
             *end_shapes(plain_end, length, y, role: :end_crimp), *station_shapes(layer, solution, y)]
          end
        end

        def station_shapes(layer, solution, y_mm)
          starts(layer, solution).each_with_index.flat_map do |start, i|
            at = running(held.map(&:first), start.to_mm)
            held.each_with_index.map { |(part, role), k| part_shape(part, role, at[k], y_mm + (role == :bead ? aside(i) : 0.0)) }
          end
        end

        # @return [Array<Measure::Length>] where each station begins, from the outer edge of the first end
        def starts(layer, solution)
          step = held_length + true_gap(solution)
          first = plain_end.length + end_gap(solution) + (layer.odd? ? step / 2 : Measure::Length::ZERO)
          (0...stations_in(layer, solution.repeats)).map { |i| first + (step * i) }
        end

        def marked_lines(solution)
          (0...layers).map do |layer|
            Making::MarkedLine.new(line: line, layer: layer + 1, long: solution.length,
              spans: starts(layer, solution).map { |start| [start, start + held_length] })
          end
        end

        # Crossed, the beads lie on the lines in turn.
        # @return [Float] millimetres
        def aside(index)
          crossed ? across(lines, tallest(station.expand).to_mm)[index % lines] : 0.0
        end
      end
    end
  end
end
