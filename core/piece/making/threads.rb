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

      # @return [Float] of all threads, in millimetres: holes and what lies between them
      def length
        threads.keys.sum { |name| way(name).each_cons(2).sum { |a, b| Math.hypot(b[0] - a[0], b[1] - a[1]) } }
      end

      # @return [Hash{Catalogue::Part=>Integer}] how often threads run through a bead, at the most
      def passes
        visited = threads.values.flatten.map(&:slot).tally
        slots.each_with_index.with_object({}) { |(slot, i), most| most[slot.part] = [most[slot.part] || 0, visited[i] || 0].max }
      end

      # @return [Threads] as a left-hander works it
      def mirrored
        right = slots.map(&:x).minmax.sum
        Threads.new(slots.map { |slot| slot.with(x: right - slot.x, turn: 180 - slot.turn) }, threads)
      end
    end
  end
end
