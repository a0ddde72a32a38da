# frozen_string_literal: true

module Core
  module Construction
    module Kinds
      # A rope laid double: the fold is whipped into a loop that goes over the hook, both ends are cemented into the hook's cap.
      class LoopedRope < Base
        key :looped_rope
        rank 210
        drawn_tight

        # Thread to whip with is held at both ends (from memory).
        WHIP_HOLD_MM = 150
        # Of thread that is left at the start, beyond the turns that hide it (common practice, no source).
        UNDER_MM = 80
        # Until the glue on a whipping has set, and until a cemented cap can be handled; it cures overnight (common practice, no source).
        WHIP_MINUTES = 15
        CEMENT_MINUTES = 20

        parameter :rope, :line
        parameter :hook, :part, of: %i[hook clasp], group: :cord_end
        parameter :cap, :part, of: %i[cord_end], required: false, group: :cord_end
        # Rope that lies over the hook when it is closed.
        parameter :over_hook, :length, default: '0 mm', range: Measure::Length::ZERO..Measure::Length.mm(60), group: :cord_end
        parameter :whip, :line, group: :cord_end
        # From the fold: found with the hook in hand (common practice, no source: 44 to 51).
        parameter :whip_at, :length, default: '44 mm', range: Measure::Length.mm(10)..Measure::Length.mm(120), group: :cord_end
        # Under the turns, on the back and the sides.
        parameter :whip_glued, :boolean, default: true, group: :cord_end
        parameter :whip_width, :length, default: '8 mm', range: Measure::Length.mm(2)..Measure::Length.mm(40), group: :cord_end

        def fill
          @fill ||= Making::Fill.new(base: hook.along, step: Measure::Length.mm(1), height: rope.thickness / 2, fewest: 30, most: 2500)
        end

        def solve(target)
          super.stretched_to(target, repeats: 1)
        end

        def stretches?
          true
        end

        def on_line(solution)
          [Making::ThreadedElement.of(hook), Making::ThreadedElement.bare(solution.length - hook.along, rope.thickness)]
        end

        private

        # @return [Measure::Length] of rope along the piece, which lies there twice
        def doubled(solution)
          solution.length - hook.along + over_hook
        end

        def turns
          (whip_width / whip.thickness).ceil
        end

        def work_up(solution, _maker)
          parts = [count(hook, 1, :hook), (count(cap, 1, :cap) if cap)].compact
          Making::WorkUp.new(parts: parts, cuts: cuts(solution), steps: steps, joins: joins, drawing: Lazy.new { layout(solution) },
            lengths: Making::Lengths.new(beaded: solution.length, working: [term(:hook, hook.along),
            term(:rope_doubled, solution.length - hook.along)]))
        end

        # Twice the piece less its hook, and what lies over the hook (common practice, no source: 419 for a 178 wrist).
        def cuts(solution)
          whipped = Wire.round_two(rope.thickness, whip.thickness) * turns
          [Making::Cut.new(line: rope, count: 1, role: :rope, body: doubled(solution) * 2, consumption: Measure::Length::ZERO,
            tails: Measure::Length::ZERO,
            measured_to: Measure::Length.mm(1)),
           Making::Cut.new(line: whip, count: 1, role: :whipping, body: Measure::Length::ZERO, consumption: whipped,
             tails: Measure::Length.mm(WHIP_HOLD_MM) * 2)]
        end

        def joins
          cap ? [Making::Join.new(kind: :cord_in_end, inner: rope, outer: cap, at: 0.0, passes: 2)] : []
        end

        # The fold, bound off into a loop, and the ends in the hook's cap.
        # @return [Array(Making::CordEnd, Making::CordEnd)]
        def cord_ends
          bound = Making::CordEnd::Item.new(kind: :band, length: whip_width, number: turns)
          loop_inside = [whip_at - whip_width, rope.thickness].max
          [[bound, Making::CordEnd.loop(loop_inside)], [Making::CordEnd.with(cap || hook, :socket)]]
            .map { |items| Making::CordEnd.new(line: rope, lines: 2, items: items) }
        end

        def steps
          glued = '_glued' if whip_glued
          [step('cut', 'sealing_rope', 2, gives: %i[cut], cautions: %i[cutting flame]),
           step('try_on', 'trying_on', 1, needs: %i[cut], gives: %i[length], checkpoint: true, text: :"looped_rope_try_on#{'_cap' if cap}"),
           step('place', 'trying_on', 1, needs: %i[length], gives: %i[place], values: { at: whip_at }),
           step('whip', 'whipping', 1, needs: %i[place], gives: %i[line], pictured: cord_ends.first, cautions: whip_glued ? %i[cement] : [],
             values: { turns: turns, at: whip_at, under: whip_width + Measure::Length.mm(UNDER_MM) }, text: :"looped_rope_whip#{glued}"),
           step('hide', whip_glued ? 'gluing' : 'trimming', 1, needs: %i[line], gives: %i[hidden], waits: whip_glued ? WHIP_MINUTES : 0,
             text: :"looped_rope_hide#{glued}"),
           step('cement', 'cementing', 1, needs: %i[hidden], gives: %i[hook cap], pictured: cord_ends.last,
             waits: CEMENT_MINUTES, cautions: %i[cement],
             text: :"looped_rope_cement#{'_cap' if cap}")]
        end

        def layout(solution)
          long = (solution.length - hook.along).to_mm
          start = hook.along.to_mm
          half = rope.thickness.to_mm / 2
          at = start + long - whip_at.to_mm
          [part_shape(hook, :hook, start / 2).with(turn: 180), (part_shape(cap, :cap, start + (cap.along.to_mm / 2)) if cap),
           rope_shape(start, at, start + long, half),
           line_shape(whip, whip_width.to_mm, 0.0, from: at - (whip_width.to_mm / 2)).with(across: half * 4.4)].compact
        end

        # Both halves side by side as far as the whipping, and the open fold beyond it.
        def rope_shape(start, at, fold, half)
          wide = half * 2.4
          bend = (at + fold) / 2
          tip = fold - half
          path = format('M%.2f %.2fH%.2fC%.2f %.2f %.2f %.2f %.2f 0C%.2f %.2f %.2f %.2f %.2f %.2fH%.2f', start, -half, at, bend, -wide,
            tip, -wide, tip, tip, wide, bend, wide, at, half, start)
          Making::Shape.new(item: rope, role: :line, x: 0.0, y: 0.0, along: 0.0, across: rope.thickness.to_mm, form: :path, path: path)
        end
      end
    end
  end
end
