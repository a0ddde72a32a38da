# frozen_string_literal: true

module Core
  module Construction
    module Kinds
      # Whole units that hang in one another, or with a ring or a link between each two, as many as the length takes: links, motifs, short
      # chains.
      class Linked < Base
        key :linked
        rank 110
        takes_hanging

        parameter :unit, :pattern
        parameter :ring, :part, of: %i[ring split_ring connector], required: false

        def problems
          [(problem('unit', :pattern_of_nothing) if unit.empty?), (problem('unit', :nothing_may_fill) if unit.fills?)].compact
        end

        # n units and the rings between them, each by its inner length.
        def fill
          @fill ||= Making::Fill.new(base: between * -1, step: one + between, height: tallest(parts), fewest: 1, most: 400)
        end

        def on_line(solution)
          row(solution.repeats).map { |part| Making::ThreadedElement.of(part, along: part.linked) }
        end

        def as_part(work_up, **identity)
          outermost = [parts.first, parts.last]
          Catalogue::Part.new(**identity, kind: :connector,
            along: work_up.lengths.beaded + outermost.map(&:beyond).reduce(:+), outer: parts.map(&:outer).max,
            hole: parts.first.hole,
            wire: outermost.map(&:link_overlap).max, soldered: outermost.none?(&:opens?), form: :chain,
            colour: parts.first.colour, mark: 'L')
        end

        def beyond(place)
          parts.public_send(place).beyond
        end

        private

        def parts
          @parts ||= unit.expand
        end

        # @return [Measure::Length] of one unit
        def one
          Measure::Length.sum(parts.map(&:linked))
        end

        # @return [Measure::Length] of what is between two units
        def between
          ring ? ring.linked : Measure::Length::ZERO
        end

        def row(repeats)
          Array.new(repeats) { parts }.reduce { |all, one| ring ? [*all, ring, *one] : all + one }
        end

        def work_up(solution, _maker)
          n = solution.repeats
          row = row(n)
          roles = row.map { |part| [part, part == ring ? :ring : :unit] }
          Making::WorkUp.new(parts: tally(roles), cuts: [], steps: steps(n), joins: joins, drawing: Lazy.new { layout(roles, solution) },
            lengths: lengths(solution), ends: { first: parts.first, last: parts.last }.transform_values { |item|
 Making::Attachment.new(item: item) },
            anchors: Lazy.new { anchors(row, n, solution) })
        end

        def lengths(solution)
          n = solution.repeats
          Making::Lengths.new(beaded: solution.length, repeats: n, unit: fill.step,
            working: [term(:units_of, one * n, count: n, each: one),
            (term(:rings_between, between * (n - 1), count: n - 1, each: between) if n > 1 && ring)].compact)
        end

        def steps(units)
          inner = (parts.size - 1) * units
          joints = units - 1
          [step('lay_out', 'measuring', 1, gives: %i[unit apart], values: { units: units }),
           (step('inside', joining(parts), inner, needs: %i[apart], gives: %i[unit], values: { parts: parts }) if inner.positive?),
           (step('join', joining(ring ? [ring] : [parts.last, parts.first]), ring ? joints : [joints, 1].max,
             gives: %i[unit ring], shuts: %i[apart],
             values: { units: units, rings: joints },
             text: join_text) if joints.positive?),
           step('check_length', 'measuring', 1, needs: %i[unit], gives: %i[length], checkpoint: true,
             values: { units: units })].compact
        end

        def join_text
          return :linked_join unless ring

          ring.kind == :connector ? :linked_join_links : :linked_join_rings
        end

        # Rings are opened like rings, all else by its eye.
        def joining(parts)
          parts.any? { |part| Catalogue::Part::RINGS.include?(part.kind) } ? 'ring' : 'opening_eye'
        end

        def joins
          pairs = parts.each_cons(2).to_a + (ring ? [[parts.last, ring], [ring, parts.first]] : [[parts.last, parts.first]])
          pairs.uniq.reject { |a, b| a == b && !a.made? && a.kind == :chain }.map do |a, b|
            inner, outer = [a, b].sort_by { |part| part.kind == :ring ? 1 : 0 }
            Making::Join.new(kind: :hangs_in, inner: inner, outer: outer, at: 0.0)
          end
        end

        # @return [Array<Float>] where the middle of each part lies
        def places(row)
          edge = 0.0
          row.map do |part|
            edge += part.linked.to_mm
            edge - (part.linked.to_mm / 2)
          end
        end

        def layout(roles, _solution)
          at = places(roles.map(&:first))
          roles.each_with_index.map { |(part, role), i| part_shape(part, role, at[i]) }
        end

        def anchors(row, number, _solution)
          at = places(row)
          inner = unit.origins(0, 'unit')
          origins = Array.new(number) { inner }.reduce { |all, one| ring ? [*all, 'ring', *one] : all + one }
          row.each_index.map { |i| Making::Anchor.new(item: row[i], x: at[i], y: row[i].outer.to_mm / 2, reach: row[i].linked.to_mm / 2,
            origin: origins[i]) }
        end
      end
    end
  end
end
