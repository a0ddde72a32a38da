# frozen_string_literal: true

module Core
  module Construction
    module Kinds
      # A band of six-petalled flowers woven with both ends of one folded thread: one petal, two and two beside the centre, one petal, and
      # two separators to the next flower. Each end goes through one petal, the centre and one petal of the other side; or through both
      # petals of its side, the centre, and both of the other side.
      class FlowerChain < Base
        key :flower_chain
        rank 180
        include Weaving

        drawn_tight

        # To hold each needle by, and to end the thread (from memory).
        HOLD_MM = { lean: 150, usual: 200, generous: 275 }.freeze

        measures :flowers_in_50, unit: :number, range: 1..50

        parameter :thread, :line
        # In turn, one a flower.
        parameter :colours, :pattern
        parameter :middle, :part, of: %i[bead]
        parameter :separator, :part, of: %i[bead]
        # One after the other on each thread between two flowers.
        parameter :separators_between, :integer, default: 1, range: 1..8
        # Odd, both ends have the same of two colours; even, one end has each.
        parameter :flower_count, :choice, of: %i[any odd even], default: :any
        parameter :route, :choice, of: %i[across out_and_round], default: :across
        # At both ends alike: the thread lies in a guard, a crimp holds it, a cover hides the crimp.
        parameter :guard, :part, of: %i[wire_guard ring], required: false
        parameter :crimp, :part, of: %i[crimp]
        parameter :cover, :part, of: %i[cover], required: false

        def problems
          [(problem('colours', :pattern_of_nothing) if colours.empty?), (problem('colours', :nothing_may_fill) if colours.fills?),
           (problem('colours', :petals_differ) if petal_parts.map { |part| [part.along, part.outer] }.uniq.size > 1)].compact
        end

        # n flowers have n - 1 pairs of separators between them.
        def fill
          @fill ||= Making::Fill.new(base: (at_end * 2) - apart, step: flower + apart, height: tallest([petal_parts.first, middle]),
            fewest: flower_count == :odd ? 3 : 2, most: 400, parity: (flower_count unless flower_count == :any))
        end

        def measurable
          [flowers]
        end

        def on_line(solution)
          petal = Making::ThreadedElement.new(along: flower, height: tallest([petal_parts.first]), width: flower, profile: :flat)
          beside = [Making::ThreadedElement.of(separator)] * separators_between
          [*end_row, *Array.new(solution.repeats) { [petal, *beside] }.flatten[0...-separators_between], *end_row.reverse]
        end

        private

        def end_row
          [(Making::ThreadedElement.of(guard, along: in_row(guard)) if guard), Making::ThreadedElement.of(terminal)].compact
        end

        def at_end
          terminal.along + (guard ? in_row(guard) : Measure::Length::ZERO)
        end

        # A ring in place of a guard takes its inside.
        def in_row(part)
          part.kind == :ring ? part.linked : part.along
        end

        def terminal
          cover || crimp
        end

        def petal_parts
          @petal_parts ||= colours.expand
        end

        # Petals that touch each other all round, or the middle: their own middles lie on this circle (plane geometry).
        def radius
          @radius ||= [petal_parts.first.outer.to_mm, (petal_parts.first.outer.to_mm + middle.outer.to_mm) / 2].max
        end

        # @return [Measure::Length] what separators take between two flowers
        def apart
          separator.along * separators_between
        end

        # How long a flower is: by its petals, or what someone's own leave for it beside the separators.
        def flower
          @flower ||= Measure::Length.mm(50 / flowers.value) - apart
        end

        def flowers
          usual = 50 / ((2 * radius) + petal_parts.first.outer.to_mm + apart.to_mm)
          measure(:flowers_in_50, thread, petal_parts.first.key, usual)
        end

        def work_up(solution, maker)
          n = solution.repeats
          woven = threads(n)
          ends = { crimp: crimp, guard: guard, cover: cover }.compact
          Making::WorkUp.new(parts: tally(woven.parts) + ends.map { |role, part| count(part, 2, role) },
            cuts: [cut(n, maker)],
            steps: steps(n), joins: joins, drawing: Lazy.new { layout(woven, solution) }, lengths: lengths(solution),
            threads: Lazy.new { threads(2) },
            cards: Lazy.new { [Making::WeaveChart.new(petals: (0...n).map { |i| petal_parts[i % petal_parts.size] }, middle: middle)] },
            ends: { first: Making::Attachment.new(item: guard || thread, passes: 2, shut_with: (:folded unless guard)),
                    last: Making::Attachment.new(item: guard || thread, passes: 2, shut_with: (:last_end unless guard)) })
        end

        def cut(number, maker)
          Making::Cut.new(line: thread, count: 1, role: :folded, body: Measure::Length.mm(taut(number)),
            consumption: Measure::Length::ZERO, tails: Measure::Length.mm(HOLD_MM.fetch(maker.tails_on(thread))) * 2,
            worked: Making::Worked.new(step: 'weave', unit: :flower, number: number, ends: 2))
        end

        # Every flower beyond the first two takes as much as the one before.
        # @param number [Integer] of flowers @return [Float] both threads, in millimetres
        def taut(number)
          @taut ||= [2, 3].map { |flowers| threads(flowers).taut(thread.thickness.to_mm) }
          two, three = @taut
          two + ((number - 2) * (three - two))
        end

        def lengths(solution)
          n = solution.repeats
          Making::Lengths.new(beaded: solution.length, repeats: n, unit: fill.step,
            working: [term(:flowers_of, flower * n, count: n, each: flower),
                      term(:separators, apart * (n - 1), count: (n - 1) * separators_between),
                      term(:woven_ends, at_end * 2)])
        end

        def joins
          threads(2).passes.map { |part, most| Making::Join.new(kind: :lines_through, inner: thread, outer: part, at: 0.0, passes: most) } +
            end_joins
        end

        # The thread lies once in each tube of the first guard; at the far end both ends cross in it and come back through the crimp.
        def end_joins
          [Making::Join.new(kind: :crimp_on_lines, inner: thread, outer: crimp, at: 0.0, passes: 4),
           (Making::Join.new(kind: :lines_through, inner: thread, outer: guard, at: 0.0, passes: 2) if guard&.kind == :wire_guard),
           (Making::Join.new(kind: :cover_on_crimp, inner: crimp, outer: cover, at: 0.0) if cover)].compact
        end

        def steps(flowers)
          [step('cut', 'cutting_line', 1, gives: %i[cut]),
           step('fold', 'folding_thread', 1, needs: %i[cut], gives: %i[folded], text: :"flower_chain_fold#{fold_words}"),
           step('first_end', 'flat_crimp', 1, needs: %i[folded], gives: %i[crimp guard first_end], pictured: line_end(1)),
           step('needles', 'needle_threading', 2, needs: %i[first_end], gives: %i[needled], cautions: %i[needles],
             keeps: { 'beading_needle' => :needled }),
           step('weave', 'cross_weave', flowers, needs: %i[needled], gives: %i[line petal middle separator], values: { flowers: flowers }),
           step('check_length', 'measuring', 1, needs: %i[petal], gives: %i[length], checkpoint: true, values: { flowers: flowers }),
           step('close', 'flat_crimp', 1, effort: Strung::SECOND_END_EFFORT, needs: %i[length], gives: %i[crimp guard last_end],
             values: { hung: [*guard] }, pictured: line_end(2), text: :"flower_chain_close#{'_crossed' if guard&.kind == :wire_guard}"),
           step('trim', 'trimming', 2, needs: %i[last_end], gives: %i[trimmed], shuts: %i[needled], cautions: %i[cutting]),
           (step('covers', 'crimp_cover', 2, needs: %i[trimmed], gives: %i[cover]) if cover)].compact
        end

        # @return [String] whether the fold lies in the tubes of a guard, in a ring, or in nothing yet
        def fold_words
          return '_free' unless guard

          guard.kind == :wire_guard ? '_in_tubes' : ''
        end

        # The end as a loop in its guard: at the first the fold, at the far end both threads, which then go on through the next bead.
        # @param threads [Integer]
        def line_end(threads)
          school = Ends::CrimpedEnds::SCHOOLS.fetch(cover ? :covered : :flat)
          Making::LineEnd.new(line: thread, lines: threads, school: school, way: :back, crimp: crimp, cover: cover,
            guard: (guard if guard&.kind == :wire_guard), outside: nil, loop: guard ? in_row(guard) : LOOP,
            row: [petal_parts.first, separator], sharing: threads == 1 ? 0 : 1)
        end

        # Inside of a loop with nothing in it yet (from memory).
        LOOP = Measure::Length.mm(2)

        def layout(woven, solution)
          woven.threads.keys.map { |name| path_shape(thread, woven.way(name)) } +
            woven.slots.map { |slot| part_shape(slot.part, slot.role, slot.x, slot.y).with(turn: slot.turn) } +
            [0.0, solution.length.to_mm].flat_map { |edge| end_shapes(edge) }
        end

        # @param edge [Float] of the piece, in millimetres
        def end_shapes(edge)
          inward = edge.zero? ? 1 : -1
          at = edge
          [[guard, :guard], *([[cover, :cover]] if cover), [crimp, :crimp]].select(&:first).map do |part, role|
            taken = role == :crimp && cover ? 0.0 : (part == guard ? in_row(part) : part.along).to_mm
            at += inward * taken
            part_shape(part, role, role == :crimp && cover ? at - (inward * cover.along.to_mm / 2) : at - (inward * taken / 2))
              .with(since: role == :cover ? nil : (edge.zero? ? :first_end : :last_end))
          end
        end
      end
    end
  end
end
