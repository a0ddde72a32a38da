# frozen_string_literal: true

module Core
  module Construction
    module Kinds
      # Beads on elastic, knotted into a ring. A bead with a larger hole hides the knot and sits first.
      class Stretch < Base
        # Until a glued knot can be handled; it cures overnight (from memory).
        GLUE_MINUTES = 10

        key :stretch

        rank 30
        takes_hanging

        technique 'pre_stretching', name: 'Stretching elastic', level: 1, seconds: 60, demonstration_minutes: 1,
          points: ['Hand over hand along the whole length, a few times.', 'Let it rest before you cut or string.'],
          goes_wrong: ['A gap opens after some days | not stretched first | string it again on new elastic | before stringing | 15 | 1 cut']

        parameter :elastic, :line, of: %i[elastic]
        parameter :pattern, :pattern
        parameter :hider, :part, of: %i[bead finishing], required: false
        # Strands of elastic side by side through every bead.
        parameter :doubled, :boolean, default: false

        def problems
          [(problem('pattern', :pattern_of_nothing) if pattern.empty?),
           (problem('pattern', :nothing_fills) unless pattern.empty? || pattern.fills?)].compact
        end

        def fill
          @fill ||= Making::Fill.new(base: pattern.fixed_length + (hider ? hider.along : Measure::Length::ZERO), step: pattern.unit_length,
            height: tallest(pattern.unit), most: Pattern::LARGEST / [pattern.unit.size, 1].max)
        end

        def on_line(solution)
          elements(row(solution.repeats).map(&:first))
        end

        private

        def row(repeats)
          [*(hider ? [[hider, :hider]] : []), *pattern.expand(repeats).map { |part| [part, :bead] }]
        end

        def passes
          doubled ? 2 : 1
        end

        def work_up(solution, maker)
          beads = row(solution.repeats)
          Making::WorkUp.new(parts: tally(beads), cuts: [cut(solution, maker)], steps: steps(beads.map(&:first)),
            joins: joins(beads.map(&:first)), drawing: Lazy.new { layout(beads, solution) }, lengths: lengths(solution),
            anchors: Lazy.new { anchors(beads, solution) })
        end

        def anchors(beads, solution)
          origins = [*(hider ? ['hider'] : []), *pattern.origins(solution.repeats, 'pattern')]
          bead_anchors(beads.map(&:first).zip(origins), elastic, closing_step: 'knot')
        end

        def cut(solution, maker)
          Making::Cut.new(line: elastic, count: 1, role: :elastic, body: solution.length * passes, consumption: Measure::Length::ZERO,
            tails: Ends::Tails.at(Ends::Tails::ELASTIC_MM, maker, elastic))
        end

        def lengths(solution)
          Making::Lengths.new(beaded: solution.length, repeats: solution.repeats, unit: fill.step,
            working: [(term(:fixed_beads, fill.base) if fill.base.positive?),
            term(:repeats, fill.step * solution.repeats, count: solution.repeats, each: fill.step)].compact)
        end

        def steps(beads)
          [step('cut', 'cutting_line', 1, preparable: true),
           step('pre_stretch', 'pre_stretching', 1, after: %w[cut]),
           step('string', 'stringing', beads.size, after: %w[pre_stretch], adds: %i[line bead hider], values: { beads: beads.size },
             text: worded(:string), order: beads),
           step('check_length', 'measuring', 1, after: %w[string], checkpoint: true, values: { beads: beads.size }),
           step('knot', 'elastic_knot', 1, after: %w[check_length]),
           step('glue', 'gluing', 1, after: %w[knot], waits: GLUE_MINUTES, cautions: %i[cement]),
           step('trim', 'trimming', 2, after: %w[glue], cautions: %i[cutting], text: worded(:trim))]
        end

        # @return [Symbol] the words of a step with a bead that hides the knot, or without
        def worded(key)
          :"stretch_#{key}#{'_hider' if hider}"
        end

        def joins(beads)
          knot = Making::Join.new(kind: :knot_in_bead, inner: elastic, outer: hider, at: 0.0, passes: 2 * passes) if hider
          [*through(elastic, beads, passes: passes),
           Making::Join.new(kind: :elastic_for_bead, inner: elastic, outer: beads.max_by(&:outer), at: 0.0), *knot]
        end

        def layout(beads, solution)
          at = running(beads.map(&:first))
          [line_shape(elastic, solution.length.to_mm), *beads.each_with_index.map { |(part, role), i| threaded_shape(part, role, at[i]) }]
        end
      end
    end
  end
end
