# frozen_string_literal: true

module Core
  module Construction
    module Kinds
      # Parallel lines through beads with a hole for each, small beads between on every line, and connectors from many lines to one.
      class TwoHole < Base
        key :two_hole
        rank 20
        takes_hanging

        parameter :line, :line
        parameter :lines, :integer, default: 2, range: 2..4
        parameter :bead, :part, of: %i[bead]
        parameter :between, :pattern, default: [].freeze
        # Whether the small beads also stand between the last bead and the crimps.
        parameter :between_at_ends, :boolean, default: true
        include Ends::CrimpedEnds

        parameter :connector, :part, of: %i[connector]
        # Rings or wire links from each connector to the closure.
        parameter :link, :part, of: %i[ring connector], required: false

        def problems
          [(problem('bead', :wrong_hole_count, lines: lines, holes: bead.lines) if bead.lines != lines),
           (problem('connector', :wrong_hole_count, lines: lines, holes: connector.lines) if connector.lines != lines),
           (problem('between', :nothing_may_fill) if between.fills?), *end_problems].compact
        end

        def fill
          @fill ||= Making::Fill.new(base: base, step: along(bead) + gap, height: bead.height_above_skin,
            most: Pattern::LARGEST / (lines * 4))
        end

        def on_line(solution)
          outer = outer_row.map { |part, role| Making::ThreadedElement.of(part, along: role == :link ? part.linked : part.threaded) }
          [*outer, *plain_end.on_line.reverse, *elements(body_row(solution.repeats).map(&:first)), *plain_end.on_line, *outer.reverse]
        end

        def beyond(_place)
          link ? link.beyond : Measure::Length::ZERO
        end

        private

        def gap
          between.fixed_length
        end

        def ends
          (plain_end.length + connector.along + (link ? link.linked : Measure::Length::ZERO)) * 2
        end

        # n beads have n - 1 gaps, or n + 1 with small beads at the ends too.
        def base
          between_at_ends ? ends + gap : ends - gap
        end

        def gaps(repeats)
          repeats + (between_at_ends ? 1 : -1)
        end

        def work_up(solution, maker)
          made = line_end(line, row: body_row(solution.repeats).map(&:first))
          Making::WorkUp.new(parts: parts(solution.repeats), cuts: [cut(made, solution, maker)],
            steps: steps(made, solution.repeats), joins: joins(made), drawing: Lazy.new { layout(solution) },
            lengths: lengths(solution), ends: %i[first last].to_h { |place| [place,
            Making::Attachment.new(item: link || connector, opened_with: (:linked if link && !link.soldered), loose: link.nil?)] },
            anchors: Lazy.new { [Making::Anchor.new(item: bead, x: solution.length.to_mm / 2, y: 0.0, shut_with: :last_end)] })
        end

        def parts(repeats)
          small = between.expand.map { |part| [part, :between] }
          [count(bead, repeats, :bead),
           *tally(small, gaps(repeats) * lines),
           *plain_end.parts(2 * lines),
           count(connector, 2, :connector),
           (count(link, 2, :link) if link)].compact
        end

        def cut(made, solution, maker)
          body = solution.length - ((made.loop_length + connector.along + (link ? link.linked : Measure::Length::ZERO)) * 2)
          Making::Cut.new(line: line, count: lines, role: :strand, body: body, consumption: Measure::Length::ZERO,
            tails: end_tails(maker, made, made))
        end

        def lengths(solution)
          n = solution.repeats
          Making::Lengths.new(beaded: solution.length, repeats: n, unit: fill.step,
            working: [term(:crimps_and_connectors, ends),
                      term(:beads_of, along(bead) * n, count: n, each: along(bead)),
                      (term(:gaps_of, gap * gaps(n), count: gaps(n), each: gap) unless gap.zero?)].compact)
        end

        def string_words
          return :two_hole_string_plain if between.empty?

          lines == 2 ? :two_hole_string : :two_hole_string_lines
        end

        def steps(made, repeats)
          small = between.expand.size * gaps(repeats) * lines
          [step('cut_lines', 'cutting_line', lines, gives: %i[cut], cautions: %i[cutting]),
           closing(step('first_ends', way.technique, lines, needs: %i[cut], gives: [:connector, *(:link if link&.soldered)]),
             made, through: 0, bare: true),
           over_tail(step('string', 'stringing', repeats + small, needs: %i[first_end], gives: %i[line bead between loose],
             effort: Rational((repeats * lines) + small, repeats + small),
             values: { beads: repeats, small: small, lines: lines }, text: string_words), made),
           step('check_length', 'measuring', 1, needs: %i[bead], gives: %i[length], checkpoint: true, values: { beads: repeats }),
           closing(step('second_ends', way.technique, lines, effort: Strung::SECOND_END_EFFORT, needs: %i[length]), made),
           (step('links', 'ring', 2, needs: %i[last_end], gives: %i[link linked]) if link && !link.soldered),
           *end_steps(made, 2 * lines)].compact
        end

        def joins(made)
          [bead, *between.expand].uniq.flat_map { |part| through(line, [part], passes: made.shared.include?(part) ? 2 : 1) } + made.joins +
            [Making::Join.new(kind: :hangs_in, inner: line, outer: connector, at: 0.0, in_place: true),
             (Making::Join.new(kind: :hangs_in, inner: connector, outer: link, at: 0.0) if link)].compact
        end

        def layout(solution)
          length = solution.length.to_mm
          pitch = bead.outer.to_mm / lines
          outer = outer_row
          edge = outer.sum { |part, _| part.threaded.to_mm }
          row = body_row(solution.repeats)
          at = running(row.map(&:first), edge + plain_end.length.to_mm)
          outer_shapes(outer, length) + across(lines, pitch).flat_map { |y|
 line_ends(edge, length, y) } + row.each_with_index.flat_map do |(part, role), i|
            role == :between ? across(lines, pitch).map { |y|
              part_shape(part, role, at[i], y)
            } : [part_shape(part, role, at[i])]
          end
        end

        def line_ends(edge, length, y_mm)
          loop = plain_end.loop_length.to_mm
          inside = length - (edge * 2)
          [line_shape(line, inside - (loop * 2), y_mm, from: edge + loop),
           *end_shapes(plain_end, inside, y_mm).map { |shape| shape.moved(edge) }]
        end

        def outer_shapes(outer, length)
          at = running(outer.map(&:first))
          outer.each_with_index.flat_map { |(part, role), i| [at[i], length - at[i]].map { |x| part_shape(part, role, x) } }
        end

        # @return [Array<(Catalogue::Part, Symbol)>] what stands beyond the lines, from the outside
        def outer_row
          [([link, :link] if link), [connector, :connector]].compact
        end

        def body_row(repeats)
          small = between.expand.map { |part| [part, :between] }
          inner = Array.new(repeats) { [[bead, :bead]] }.reduce { |row, one| row + small + one }
          between_at_ends ? small + inner + small : inner
        end
      end
    end
  end
end
