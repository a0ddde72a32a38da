# frozen_string_literal: true

module Core
  module Construction
    module Kinds
      # Beads on elastic, knotted into a ring. A bead with a larger hole hides the knot; it stands beside it, strung first or last.
      class Stretch < Base
        # Until a glued knot can be handled; it cures overnight (from memory).
        GLUE_MINUTES = 10

        key :stretch

        rank 30
        takes_hanging

        CUTTERS_DO = ['scissors > cutters: Cut with the flat side to the knot.'].freeze

        # From here on a knot with many bends holds, and one with few does not (common practice, no source).
        THICK = Measure::Length.mm(0.8)
        KNOTS = { twist_and_loop: 'elastic_knot', surgeons: 'surgeons_knot' }.freeze

        parameter :elastic, :line, of: %i[elastic]
        parameter :pattern, :pattern
        parameter :hider, :part, of: %i[bead finishing], required: false
        parameter :hider_at, :choice, of: %i[strung_first strung_last], default: :strung_first
        parameter :elastic_knot, :choice, of: %i[by_thickness twist_and_loop surgeons], default: :by_thickness
        # What is done when the knot is tied.
        parameter :finish, :choice, of: %i[glue_then_trim trim_then_glue trim_alone], default: :glue_then_trim
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
          beside_knot(hider && [hider, :hider], pattern.expand(repeats).map { |part| [part, :bead] })
        end

        def beside_knot(hiding, beads)
          return beads unless hiding

          hider_at == :strung_first ? [hiding, *beads] : [*beads, hiding]
        end

        def passes
          doubled ? 2 : 1
        end

        def work_up(solution, maker)
          beads = row(solution.repeats)
          Making::WorkUp.new(parts: tally(beads), cuts: [cut(solution, maker)], steps: steps(beads.map(&:first), solution),
            joins: joins(beads.map(&:first)), drawing: Lazy.new { layout(beads, solution) }, lengths: lengths(solution),
            anchors: Lazy.new { anchors(beads, solution) })
        end

        def anchors(beads, solution)
          origins = beside_knot(hider && 'hider', pattern.origins(solution.repeats, 'pattern'))
          bead_anchors(beads.map(&:first).zip(origins), elastic, shut_with: :knotted)
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

        def steps(beads, solution)
          [step('cut', 'cutting_line', 1, gives: %i[cut]),
           step('pre_stretch', 'pre_stretching', 1, needs: %i[cut], gives: %i[stretched]),
           step('stop_end', 'bead_stopper', 1, needs: %i[stretched], gives: %i[stopped], keeps: { 'bead_stopper' => :stopped }),
           step('string', 'stringing', beads.size, needs: %i[stopped], gives: %i[line bead hider loose],
             values: { beads: beads.size, strung: solution.length }, text: worded(:string, (if hider
                                                                                              hider_at.to_s.delete_prefix('strung')
                                                                                            end)), order: beads),
           step('check_length', 'measuring', 1, needs: %i[line], gives: %i[length], checkpoint: true, values: { beads: beads.size }),
           step('knot', KNOTS.fetch(tied), 1, needs: %i[length], gives: %i[knotted], shuts: %i[stopped loose],
             text: :"stretch_knot_#{tied}"), *finishing]
        end

        # @return [Symbol] a key of KNOTS
        def tied
          return elastic_knot unless elastic_knot == :by_thickness

          elastic.thickness >= THICK ? :twist_and_loop : :surgeons
        end

        def finishing
          glue = step('glue', 'gluing', 1, needs: %i[knotted], waits: GLUE_MINUTES, cautions: %i[cement], text: worded(:glue, *glued))
          trim = step('trim', 'trimming', 2, needs: %i[knotted], gives: %i[trimmed], cautions: %i[cutting], text: worded(:trim, *trimmed))
          case finish
          when :glue_then_trim then [glue.with(gives: %i[glued]), trim.with(needs: %i[glued])]
          when :trim_then_glue then [trim.with(gives: %i[trimmed]), glue.with(needs: %i[trimmed])]
          else [trim]
          end
        end

        # The last of the two steps slides the bead over the knot.
        def glued
          hider && finish == :trim_then_glue ? ['_hider'] : []
        end

        def trimmed
          hider && finish != :trim_then_glue ? ['_hider'] : []
        end

        # @return [Symbol] the words of a step with a bead that hides the knot, or without
        def worded(key, with = nil)
          :"stretch_#{key}#{with}"
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
