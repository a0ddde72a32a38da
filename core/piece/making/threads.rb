# frozen_string_literal: true

module Core
  module Making
    # Beads in the plane and the threads that visit them in order. Parts, lengths of thread, passes and drawings follow from the visits
    # and are never counted by hand.
    class Threads
      # A place for a bead. turn: of its hole, in degrees from the length of the piece
      Slot = Value.define(:part, :role, :x, :y, turn: 0) do
        # @param back [Boolean] whether a thread comes from the far side @return [Array<(Float, Float)>] where it goes in and comes out
        def ends(back)
          half = part.along.to_mm / 2
          across = [half * Math.cos(turn * Math::PI / 180), half * Math.sin(turn * Math::PI / 180)]
          both = [[x - across[0], y - across[1]], [x + across[0], y + across[1]]]
          back ? both.reverse : both
        end

        # @param thickness [Float] of a thread, in millimetres @return [(Gate, Gate)] how far it can leave the middle at both ends
        def gates(back, thickness)
          aside = part.hole ? [(part.hole.to_mm - thickness) / 2, 0.0].max : 0.0
          angle = turn * Math::PI / 180
          ends(back).map { |x_mm, y_mm| Gate.new(x: x_mm, y: y_mm, along: [Math.cos(angle), Math.sin(angle)], aside: aside) }
        end
      end

      # The mouth of a hole, across which a thread can lie.
      #
      # @param along the direction of the hole, of length 1
      # @param aside how far from its middle, in millimetres
      Gate = Value.define(:x, :y, :along, :aside) do
        # @param before [(Float, Float)] @param behind [(Float, Float)]
        # @return [(Float, Float)] where the way from one to the other is shortest
        def nearest(before, behind)
          (depth_a, side_a), (depth_b, side_b) = [before, behind].map { |point| seen(point) }
          deep = depth_a.abs + depth_b.abs
          aim = deep.zero? ? (side_a + side_b) / 2 : ((side_a * depth_b.abs) + (side_b * depth_a.abs)) / deep
          aim = aim.clamp(-aside, aside)
          [x - (along[1] * aim), y + (along[0] * aim)]
        end

        private

        # @return [(Float, Float)] along the hole and across it, from its mouth
        def seen(point)
          right, down = point[0] - x, point[1] - y
          [(right * along[0]) + (down * along[1]), (down * along[0]) - (right * along[1])]
        end
      end

      # @param slot its number
      # @param back whether the thread comes from the far side
      Visit = Value.define(:slot, back: false)

      attr_reader :slots, :threads

      # @param slots [Array<Slot>] @param threads [Hash{String=>Array<Visit>}] each thread's visits by its name
      def initialize(slots, threads)
        @slots = slots
        @threads = threads
      end

      # @return [Array<(Catalogue::Part, Symbol)>]
      def parts
        slots.map { |slot| [slot.part, slot.role] }
      end

      # @param name [String] @return [Array<(Float, Float)>] the way of a thread, in millimetres
      def way(name)
        threads.fetch(name).flat_map { |visit| slots[visit.slot].ends(visit.back) }
      end

      # @return [Float] of all threads along the middles of the holes, in millimetres
      def length
        threads.keys.sum { |name| along(way(name)) }
      end

      # Rounds after which a taut thread has come to rest, to less than a hundredth of its length.
      ROUNDS = 12

      # Drawn taut, a thread leaves the middle of each hole as far as the hole's width lets it. Each point in turn is moved to where it is
      # shortest between its neighbours, which for points on parallel or crossing lines is the point that a mirror gives (plane geometry).
      # @param thickness [Float] of the thread, in millimetres
      # @return [Float] of all threads, in millimetres
      def taut(thickness)
        threads.sum do |name, visits|
          gates = visits.flat_map { |visit| slots[visit.slot].gates(visit.back, thickness) }
          points = way(name)
          ROUNDS.times { (1..(points.size - 2)).each { |i| points[i] = gates[i].nearest(points[i - 1], points[i + 1]) } }
          along(points)
        end
      end

      # @return [Hash{Catalogue::Part=>Integer}] how often threads run through a bead, at the most
      def passes
        visited = threads.values.flatten.map(&:slot).tally
        slots.each_with_index.with_object({}) { |(slot, i), most| most[slot.part] = [most[slot.part] || 0, visited[i] || 0].max }
      end

      def along(points)
        points.each_cons(2).sum { |a, b| Math.hypot(b[0] - a[0], b[1] - a[1]) }
      end
      private :along

      # @return [Threads] as a left-hander works it
      def mirrored
        right = slots.map(&:x).minmax.sum
        Threads.new(slots.map { |slot| slot.with(x: right - slot.x, turn: 180 - slot.turn) }, threads)
      end
    end
  end
end
