# frozen_string_literal: true

module Core
  module Construction
    # A short row of rings, clasp, chain or extender at one end of a piece. The parts read outward from the work.
    class Findings < Base
      key :findings

      parameter :parts, :pattern

      def problems
        problem = ->(code) { Problem.new(at: ['parts'], code: code) }
        [(problem.(:pattern_of_nothing) if parts.empty?), (problem.(:findings_fill) if parts.fills?)].compact
      end

      def fixed_length
        parts.fixed_length
      end

      def play
        Measure::Length.sum(row.map(&:play))
      end

      private

      def row
        @row ||= parts.expand
      end

      def work_up(_solution, _maker)
        WorkUp.new(parts: row.tally.map { |part, count| PartUse.new(part: part, count: count, role: part.kind) }, cuts: [],
                   steps: steps, joins: joins, layout: layout, lengths: Lengths.new(beaded: fixed_length, play: play, fixed: fixed_length),
                   ends: { first: End.new(item: row.first, closing_step: ('join' if steps.any?)), last: End.new(item: row.last) })
      end

      # One open ring joins the two parts beside it.
      def steps
        rings = row.count { |part| part.kind == :ring && !part.soldered }
        return [] if rings.zero?

        [StepUse.new(key: 'join', technique: 'ring', repeats: rings, text: :findings_join, preparable: true, values: { rings: rings })]
      end

      def joins
        row.each_cons(2).map { |a, b| Join.new(kind: :hangs_in, inner: b, outer: a, at: 0.0) }
      end

      def layout
        edge = 0.0
        row.map do |part|
          shape = Shape.new(item: part, role: part.kind, x: edge + (part.along.to_mm / 2), y: 0.0, along: part.along.to_mm,
                            across: part.outer.to_mm, form: part.form)
          edge += part.along.to_mm
          shape
        end
      end
    end
  end
end
