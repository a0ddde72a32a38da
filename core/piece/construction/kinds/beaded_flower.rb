# frozen_string_literal: true

module Core
  module Construction
    module Kinds
      # Petals of beads on wire: continuous loops, crossover loops, or rows about a basic row (a frame). Its size is fixed by its counts.
      class BeadedFlower < Base
        key :beaded_flower
        rank 80

        parameter :wire, :line
        include Petals

        def fixed_length
          Measure::Length.mm(2 * petal.reach)
        end

        def on_line(_solution)
          [Making::ThreadedElement.bare(fixed_length, wire.thickness)]
        end

        private

        def petal
          @petal ||= WiredPetal.new(bead: bead, beads: beads, way: way, pairs: row_pairs, top: tip)
        end

        def work_up(_solution, maker)
          total = petal.count * petals
          parts = [count(bead, total, :bead), count(bead, strung_beyond(petal, petals), :left_over)]
          Making::WorkUp.new(parts: parts, cuts: [cut(maker)], steps: steps,
            joins: through(wire, [bead]),
            cards: Lazy.new { [row_card(:petal, petal, petals)] }, drawing: Lazy.new { layout },
            lengths: Making::Lengths.new(beaded: fixed_length), ends: { first: Making::Attachment.new(item: wire, shut_with: :bound) })
        end

        # Beads × bead length and a turn round the base (common practice, no source). Loops are worked from one wire; each frame has its
        # own.
        def cut(maker)
          tails = Ends::Tails.at(Ends::Tails::WIRED_MM, maker, wire) * 2
          number, each, role = petal.frame? ? [petals, 1, :petal] : [1, petals, :flower]
          Making::Cut.new(line: wire, count: number, role: role, body: petal.strung * each, consumption: petal.consumption * each,
            tails: tails, from_reel: true)
        end

        def steps
          ring = petal.frame? ? [] : [ring_step(:bead, petals)]
          [*petal_steps(:bead, petal, petals, wire, WiredPetal::TECHNIQUES.fetch(way)), *ring,
           step('check', 'measuring', 1, needs: %i[bead_made], gives: %i[checked], checkpoint: true, values: { petals: petals }),
           step('bind', 'twisting', 1, needs: %i[checked], gives: %i[line bound], cautions: %i[sharp_tails work_hardening])]
        end

        def layout
          (0...petals).flat_map do |number|
            turned(petal, :bead, 2 * Math::PI * number / petals, at: [petal.reach, 0.0]).map { |shape|
              at_its_step(shape, petal, :bead, number)
            }
          end
        end
      end
    end
  end
end
