# frozen_string_literal: true

module Core
  module Construction
    module Kinds
      # A frame of thick wire with one large loop and small ones, bound with fine wire that may hold beads: a pendant, or an earring's drop.
      class Framed < Base
        key :framed
        rank 150
        takes_hanging

        # Bent into the ends of the frame, and held while binding (common practice, no source: 102 for a frame with one large and two small
        # loops in 1.02 wire, 152 of 0.40 wire to bind it).
        FRAME_HOLD_MM = { lean: 5, usual: 8, generous: 15 }.freeze
        BINDING_HOLD_MM = { lean: 20, usual: 30, generous: 45 }.freeze

        parameter :wire, :line, of: %i[wire]
        parameter :large, :length, default: '15 mm', range: Measure::Length.mm(3)..Measure::Length.mm(120)
        parameter :small, :length, default: '6 mm', range: Measure::Length.mm(1)..Measure::Length.mm(40)
        parameter :smalls, :integer, default: 2, range: 1..4
        parameter :binding, :line, of: %i[wire]
        parameter :wraps, :integer, default: 18, range: 1..200
        # Bound on with the fine wire, one after another.
        parameter :beads, :pattern, default: [].freeze

        def problems
          [(problem('beads', :nothing_may_fill) if beads.fills?),
           (problem('beads', :beads_wider_than_frame, beads: beads.fixed_length, room: large) if beads.fixed_length > large)].compact
        end

        # From inside the small loop it hangs by to inside the one below the large loop.
        def fixed_length
          loop_across(large) + (loop_across(small) * [smalls, 2].min) - (wire.thickness * 2)
        end

        def on_line(_solution)
          [Making::ThreadedElement.new(along: fixed_length, height: wire.thickness / 2, width: loop_across(large), profile: :pointed)]
        end

        def beyond(_place)
          wire.thickness
        end

        def as_part(work_up, **identity)
          Catalogue::Part.new(**identity, kind: :pendant, outer: loop_across(large), hole: small,
            along: work_up.lengths.beaded + (wire.thickness * 2),
            wire: wire.thickness,
            form: :drop, colour: wire.colour, mark: 'F')
        end

        private

        def loop_across(inner)
          inner + (wire.thickness * 2)
        end

        def loop_part(inner)
          Catalogue::Part.new(key: "loop_#{inner.nm}_#{wire.key}", name: "small loop of #{wire.name}", kind: :connector,
            along: loop_across(inner),
            outer: loop_across(inner), hole: inner, wire: wire.thickness, form: :ring, colour: wire.colour)
        end

        def row
          @row ||= beads.expand
        end

        def work_up(_solution, maker)
          Making::WorkUp.new(parts: tally(row.map { |bead| [bead, :bound] }), cuts: cuts(maker), steps: steps, joins: through(binding, row),
            drawing: Lazy.new { layout }, lengths: Making::Lengths.new(beaded: fixed_length, working: working),
            ends: { first: small, last: smalls > 1 ? small : large }.transform_values { |size|
 Making::Attachment.new(item: loop_part(size)) },
            anchors: Lazy.new { anchors })
        end

        # π(D + d) for each loop (plane geometry); a turn of binding goes round both wires where they lie side by side.
        def cuts(maker)
          loops = Wire.eye(wire.thickness, large) + (Wire.eye(wire.thickness, small) * smalls)
          bound = Wire.round_two(wire.thickness, binding.thickness) * wraps
          [Making::Cut.new(line: wire, count: 1, role: :frame, body: loops, consumption: Measure::Length::ZERO,
            tails: Measure::Length.mm(FRAME_HOLD_MM.fetch(maker.tails_on(wire))), measured_to: Wire::CUT_TO),
           Making::Cut.new(line: binding, count: 1, role: :binding, body: beads.fixed_length, consumption: bound,
             tails: Measure::Length.mm(BINDING_HOLD_MM.fetch(maker.tails_on(binding))), measured_to: Wire::CUT_TO)]
        end

        def working
          count = [smalls, 2].min
          [term(:large_loop, loop_across(large)), term(:small_loops, (loop_across(small) * count) - (wire.thickness * 2), count: count)]
        end

        def steps
          [step('cut', 'cutting_wire', 2, gives: %i[cut], cautions: %i[cutting]),
           step('form', 'frame_forming', 1, line: wire, needs: %i[cut], gives: %i[formed], values: { count: smalls }),
           step('bind', 'frame_binding', wraps, line: binding, needs: %i[formed], gives: %i[line bound],
             values: { row: Making::FromBag.new(parts: row) }, text: row.empty? ? :framed_bind : :framed_bind_beads),
           step('trim', 'trimming', 2, needs: %i[bound], gives: %i[trimmed], cautions: %i[cutting sharp_tails]),
           step('check', 'measuring', 1, needs: %i[trimmed], checkpoint: true)]
        end

        def anchors
          edge = fixed_length.to_mm
          lowest = smalls > 1 ? small : large
          [Making::Anchor.new(item: loop_part(lowest), x: edge - (lowest.to_mm / 2), y: loop_across(lowest).to_mm / 2,
            reach: lowest.to_mm / 2, origin: 'small')]
        end

        def layout
          thick = wire.thickness.to_mm
          middle = small.to_mm + thick + (loop_across(large).to_mm / 2)
          start = middle - (beads.fixed_length.to_mm / 2)
          at = running(row, start)
          [ring_shape(small, small.to_mm / 2), ring_shape(large, middle),
           (ring_shape(small, fixed_length.to_mm - (small.to_mm / 2)) if smalls > 1),
           (line_shape(binding, large.to_mm, from: middle - (large.to_mm / 2)) if row.any?),
           *row.each_with_index.map { |bead, i| part_shape(bead, :bound, at[i]) }].compact
        end

        def ring_shape(inner, at)
          size = loop_across(inner).to_mm
          Making::Shape.new(item: loop_part(inner), role: :line, x: at, y: 0.0, along: size, across: size, form: :ring)
        end
      end
    end
  end
end
