# frozen_string_literal: true

module Core
  module Construction
    # Petals of beads on wire: continuous loops, crossover loops, or rows about a basic row (a frame). Its size is fixed by its counts.
    class BeadedFlower < Base
      key :beaded_flower

      # Wire for a turn round the base after each loop or row (from memory).
      TURN_MM = 5
      TECHNIQUES = { continuous: 'continuous_loop', crossover: 'crossover_loop', frame: 'frame_row' }.freeze

      parameter :wire, :line
      parameter :bead, :part, of: %i[bead]
      parameter :way, :choice, of: %i[continuous crossover frame], default: :continuous
      parameter :petals, :integer, default: 5, range: 1..24
      # Beads in one loop, or on the basic row of a frame.
      parameter :beads, :integer, default: 20, range: 3..120
      # Pairs of rows about a frame's basic row.
      parameter :row_pairs, :integer, default: 2, range: 1..8
      parameter :tip, :choice, of: %i[round pointed], default: :round

      def fixed_length
        Measure::Length.mm(2 * reach_mm)
      end

      def on_line(_solution)
        [Element.bare(fixed_length, wire.thickness)]
      end

      private

      # A crossover adds two half loops, front and back. Each pair of a frame's rows grows by the width that was added,
      # and a pointed tip costs about one bead more than a round one (common practice, no source).
      # @return [Array<Integer>] beads on each run of wire in one petal
      def runs
        @runs ||= case way
                  when :continuous then [beads]
                  when :crossover then [beads, half, half]
                  else [beads, *(1..row_pairs).flat_map { |pair| [beads + row_growth(pair)] * 2 }]
                  end
      end

      def half
        (beads + 1) / 2
      end

      def row_growth(pair)
        (pair * bead.outer.to_mm / along(bead).to_mm).ceil + (tip == :pointed ? 1 : 0)
      end

      # Beads × bead length and a turn round the base (common practice, no source).
      def petal_wire
        (along(bead) * runs.sum) + (Measure::Length.mm(TURN_MM) * runs.size)
      end

      # How far a petal reaches from the middle: a loop is flattened to about 0.4 of its round; a frame is as long as its outer row.
      def reach_mm
        run = along(bead).to_mm * (way == :frame ? runs.last : beads)
        way == :frame ? run + bead.outer.to_mm : (run * 0.4) + bead.outer.to_mm
      end

      def work_up(_solution, maker)
        total = runs.sum * petals
        WorkUp.new(parts: [count(bead, total, :bead)], cuts: [cut(maker)], steps: steps(total),
          joins: through(wire, [bead]), drawing: Lazy.new { layout }, lengths: Lengths.new(beaded: fixed_length),
          ends: { first: End.new(item: wire, closing_step: 'bind') })
      end

      # Loops are worked from one wire; each frame has its own.
      def cut(maker)
        tails = Tails.at(Tails::WIRED_MM, maker, wire) * 2
        turns = Measure::Length.mm(TURN_MM) * runs.size
        return Cut.new(line: wire, count: petals, role: :petal, body: petal_wire - turns, consumption: turns, tails: tails) if way == :frame

        Cut.new(line: wire, count: 1, role: :flower, body: (petal_wire - turns) * petals, consumption: turns * petals, tails: tails)
      end

      def steps(total)
        worked = way == :frame ? petals * row_pairs * 2 : petals
        [step('cut', 'cutting_wire', way == :frame ? petals : 1, preparable: true, cautions: %i[cutting]),
         step('load', 'loading', total, after: %w[cut], preparable: true, values: { beads: total }),
         step(way.to_s, TECHNIQUES.fetch(way), worked, after: %w[load],
           values: { petals: petals, beads: beads, half: half, rows: row_pairs * 2 }),
         step('check', 'measuring', 1, after: [way.to_s], checkpoint: true, values: { petals: petals }),
         step('bind', 'twisting', 1, after: %w[check], cautions: %i[sharp_tails work_hardening])]
      end

      def layout
        petals.times.flat_map { |petal| runs.each_with_index.flat_map { |number, run| run_shapes(number, run,
          2 * Math::PI * petal / petals) } }
      end

      # Loops are drawn round an ellipse that leaves the middle, rows side by side.
      def run_shapes(number, run, angle)
        (0...number).map do |i|
          along, aside = way == :frame ? row_place(i, number, run) : loop_place(i, number, run)
          x = (along * Math.cos(angle)) - (aside * Math.sin(angle))
          y = (along * Math.sin(angle)) + (aside * Math.cos(angle))
          part_shape(bead, :bead, reach_mm + x, y)
        end
      end

      # @return [Array(Float, Float)] millimetres outward and aside
      def loop_place(index, number, run)
        reach = reach_mm - bead.outer.to_mm
        return [reach * (index + 1) / (number + 1), (run - 1.5) * bead.outer.to_mm * 0.8] if run.positive?

        turn = 2 * Math::PI * (index + 0.5) / number
        [reach * (1 - Math.cos(turn)) / 2, reach * 0.28 * Math.sin(turn)]
      end

      def row_place(index, number, run)
        side = run.zero? ? 0 : ((run + 1) / 2) * (run.odd? ? 1 : -1)
        narrowing = 1 - (((2.0 * (index + 0.5) / number) - 1).abs**3)
        [(reach_mm - bead.outer.to_mm) * (index + 0.5) / number, side * bead.outer.to_mm * (0.35 + (0.65 * narrowing))]
      end
    end
  end
end
