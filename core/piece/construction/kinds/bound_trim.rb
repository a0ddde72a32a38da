# frozen_string_literal: true

module Core
  module Construction
    module Kinds
      # A row of wire loops, a large one between small ones, bound with fine wire under the bar of a bought part. The loops come from
      # barrels of two sizes, one wire apart; the binding begins at the large loop, in the middle of its wire.
      class BoundTrim < Base
        key :bound_trim
        rank 155
        takes_hanging

        # Beyond each end of the row, more than needed on purpose: hands lay it round the barrels (common practice, no source: 102 cut where
        # 56 are used).
        HOLD_MM = { lean: 15, usual: 23, generous: 28 }.freeze
        # Of the fine wire at each end (common practice, no source: 152 give about 20 turns).
        BINDING_HOLD_MM = { lean: 8, usual: 12, generous: 20 }.freeze
        CUT_TO = Measure::Length.mm(1)

        parameter :base, :part, of: %i[connector pendant]
        parameter :bar_thickness, :length, default: '1 mm', range: Measure::Length.mm(0.4)..Measure::Length.mm(6)
        parameter :wire, :line, of: %i[wire]
        parameter :large, :length, default: '6 mm', range: Measure::Length.mm(2)..Measure::Length.mm(40)
        parameter :small, :length, default: '4 mm', range: Measure::Length.mm(1)..Measure::Length.mm(30)
        # On each side of the large one.
        parameter :smalls, :integer, default: 0, range: 0..4
        parameter :binding, :line, of: %i[wire]
        parameter :middle_turns, :integer, default: 8, range: 2..60
        parameter :small_turns, :integer, default: 5, range: 1..40
        parameter :hang_in, :choice, of: %i[large_loop own_hole], default: :large_loop

        def problems
          [(problem('base', :row_wider_than_edge, row: row_width, edge: base.outer) if row_width > base.outer),
           (problem('hang_in', :no_hole_below) if hang_in == :own_hole && base.hole.nil?)].compact
        end

        # From where it hangs to where others hang in it.
        def fixed_length
          hang_in == :own_hole ? base.linked : base.linked + wire.thickness + large
        end

        def on_line(_solution)
          [Making::ThreadedElement.new(along: fixed_length, height: base.outer / 2, width: base.outer, profile: :pointed)]
        end

        def beyond(place)
          place == :last && hang_in == :large_loop ? wire.thickness : base.beyond
        end

        # @return [Measure::Length] across all loops and the gaps of one wire between them
        def row_width
          outside(large) + (outside(small) * smalls * 2) + (wire.thickness * smalls * 2)
        end

        private

        def outside(inner)
          inner + (wire.thickness * 2)
        end

        def loop_part
          @loop_part ||= Catalogue::Part.new(key: "loop_#{large.nm}_#{wire.key}", name: 'large loop', kind: :connector,
            along: outside(large), outer: outside(large), hole: large, wire: wire.thickness, form: :ring, colour: wire.colour)
        end

        def lowest
          hang_in == :own_hole ? base : loop_part
        end

        def work_up(_solution, maker)
          Making::WorkUp.new(parts: [count(base, 1, :base)], cuts: cuts(maker), steps: steps, joins: [], drawing: Lazy.new { layout },
            lengths: Making::Lengths.new(beaded: fixed_length, working: working),
            ends: { first: Making::Attachment.new(item: base), last: Making::Attachment.new(item: lowest) },
            anchors: Lazy.new { [Making::Anchor.new(item: lowest, x: fixed_length.to_mm - (large.to_mm / 2), y: outside(large).to_mm / 2,
              reach: large.to_mm / 2, origin: 'large')] })
        end

        def working
          [term(:base_part, base.linked), (term(:large_loop, wire.thickness + large) if hang_in == :large_loop)].compact
        end

        # π(D + d) for each loop and one wire between two; a turn of binding goes round the bar and the wire that lies on it.
        def cuts(maker)
          loops = Wire.eye(wire.thickness, large) + ((Wire.eye(wire.thickness, small) + wire.thickness) * smalls * 2)
          [Making::Cut.new(line: wire, count: 1, role: :frame, body: loops, consumption: Measure::Length::ZERO,
            tails: Measure::Length.mm(HOLD_MM.fetch(maker.tails_on(wire))) * 2, measured_to: CUT_TO),
           Making::Cut.new(line: binding, count: 1, role: :binding, body: Measure::Length::ZERO,
             consumption: Wire.round_two((bar_thickness + wire.thickness) / 2, binding.thickness) * all_turns,
             tails: Measure::Length.mm(BINDING_HOLD_MM.fetch(maker.tails_on(binding))) * 2, measured_to: CUT_TO)]
        end

        def all_turns
          middle_turns + (small_turns * smalls * 2)
        end

        def steps
          said = { loops: (smalls * 2) + 1, each_side: smalls }
          [step('cut', 'cutting_wire', 2, gives: %i[cut], cautions: %i[cutting]),
           step('form', 'row_of_loops', 1, line: wire, needs: %i[cut], gives: %i[line], values: said,
             text: smalls.positive? ? :bound_trim_form : :bound_trim_form_alone_large),
           step('flatten', 'trimming', 2, needs: %i[line], gives: %i[flat], cautions: %i[cutting sharp_tails]),
           step('bind_middle', 'frame_binding', middle_turns, line: binding, needs: %i[flat], gives: %i[base binding wire_end]),
           (bind_smalls(said) if smalls.positive?),
           step('tuck', 'trimming', 2, gives: %i[tucked], shuts: %i[wire_end], cautions: %i[cutting sharp_tails]),
           step('check', 'measuring', 1, needs: %i[tucked], checkpoint: true)].compact
        end

        def bind_smalls(said)
          step('bind_smalls', 'frame_binding', small_turns * smalls * 2, line: binding, needs: %i[wire_end], values: said)
        end

        # The bought part above, the row across its lower edge.
        def layout
          edge = base.linked.to_mm
          [part_shape(base, :base, edge / 2), *loop_shapes(edge + wire.thickness.to_mm), *turns(edge)]
        end

        def loop_shapes(top)
          sizes = ([small] * smalls) + [large] + ([small] * smalls)
          down = -row_width.to_mm / 2
          sizes.map do |inner|
            size = outside(inner).to_mm
            middle = down + (size / 2)
            down += size + wire.thickness.to_mm
            Making::Shape.new(item: wire, role: :line, x: [top + (size / 2) - wire.thickness.to_mm, fixed_length.to_mm].min, y: middle,
              along: size, across: size, form: :ring)
          end
        end

        # Turn beside turn about the middle of the large loop.
        def turns(edge)
          thick = binding.thickness.to_mm
          (0...[middle_turns, (large.to_mm / thick).floor].min).map do |i|
            Making::Shape.new(item: binding, role: :line, x: edge, y: (i - ((middle_turns - 1) / 2.0)) * thick, along: 2.0, across: thick,
              form: :path, since: :binding, path: format('M-1 %.2fL1 %.2f', -thick / 3, thick / 3))
          end
        end
      end
    end
  end
end
