# frozen_string_literal: true

module Core
  module Construction
    # A petal or leaf of beads on wire: one continuous loop, a loop crossed by two half loops, or rows about a basic row (a frame).
    #
    # @param beads in the loop, or on a frame's basic row
    # @param pairs of rows about it
    # @param top its tips, :round or :pointed
    # @param bottom see top
    WiredPetal = Value.define(:bead, :beads, :way, pairs: 1, top: :round, bottom: :round) do
      # A crossover adds two half loops, front and back. Each pair of a frame's rows grows by the width that was added,
      # and a pointed tip costs about one bead more than a round one (common practice, no source).
      # @return [Array<Integer>] beads on each run of wire
      def runs
        case way
        when :continuous then [beads]
        when :crossover then [beads, half, half]
        else [beads, *(1..pairs).flat_map { |pair| [beads + row_growth(pair)] * 2 }]
        end
      end

      def frame?
        way == :frame
      end

      def half
        (beads + 1) / 2
      end

      # @return [Integer] beads in all
      def count
        runs.sum
      end

      # @return [Measure::Length] of wire under beads
      def strung
        bead.threaded * count
      end

      # @return [Measure::Length] of wire in a turn round the base after each loop, or after each row of a frame; a crossover lies bare over
      #   its crest
      def turns
        number = frame? ? runs.size : 1
        crest = way == :crossover ? WiredPetal::CREST_MM : 0
        Measure::Length.mm((WiredPetal::TURN_MM * number) + crest)
      end

      # @return [Measure::Length] turns, and a frame's own loop at its foot
      def consumption
        frame? ? turns + Measure::Length.mm(WiredPetal::FOOT_MM) : turns
      end

      # How far it reaches from its foot: a loop is flattened to about 0.4 of its round; a frame is as long as its outer row.
      # @return [Float] millimetres
      def reach
        run = bead.threaded.to_mm * (frame? ? runs.last : beads)
        frame? ? run + bead.outer.to_mm : (run * 0.4) + bead.outer.to_mm
      end

      # Loops are drawn round an ellipse that leaves the foot, rows side by side.
      # @return [Array<(Float, Float)>] where each bead lies, in millimetres outward and aside
      def places
        runs.each_with_index.flat_map { |number, run|
          (0...number).map { |i| frame? ? row_place(i, number, run) : loop_place(i, number, run) }
        }
      end

      private

      def row_growth(pair)
        (pair * bead.outer.to_mm / bead.threaded.to_mm).ceil + [top, bottom].count(:pointed)
      end

      def loop_place(index, number, run)
        long = reach - bead.outer.to_mm
        return [long * (index + 1) / (number + 1), (run - 1.5) * bead.outer.to_mm * 0.8] if run.positive?

        turn = 2 * Math::PI * (index + 0.5) / number
        [long * (1 - Math.cos(turn)) / 2, long * 0.28 * Math.sin(turn)]
      end

      def row_place(index, number, run)
        side = run.zero? ? 0 : ((run + 1) / 2) * (run.odd? ? 1 : -1)
        narrowing = 1 - (((2.0 * (index + 0.5) / number) - 1).abs**3)
        [(reach - bead.outer.to_mm) * (index + 0.5) / number, side * bead.outer.to_mm * (0.35 + (0.65 * narrowing))]
      end
    end

    class WiredPetal
      WAYS = %i[continuous crossover frame].freeze
      TIPS = %i[round pointed].freeze
      TECHNIQUES = { continuous: 'continuous_loop', crossover: 'crossover_loop', frame: 'frame_row' }.freeze
      # Wire for a turn round the base after each loop or row (from memory).
      TURN_MM = 5
      # Bare over the top of a crossover (common practice, no source: 64 mm for a petal of 20 beads 1.4 long, with its turn).
      CREST_MM = 3
      # A frame's own loop below its rows, twisted to a stem (from memory): both its wires.
      FOOT_MM = 80
    end
  end
end
