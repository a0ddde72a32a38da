# frozen_string_literal: true

module Core
  module Fit
    module Rules
      # A ring, loop or eye has room for all that hangs in it; a line must not slip out through the gap of one that is not soldered.
      class RingHolds < Rule
        key :ring_holds
        rank 70
        judges :hangs_in

        # The gap of a ring closed by hand, where none was measured (from memory).
        USUAL_GAP = Measure::Length.mm(0.3)

        def call(join)
          room = join.outer.hole or return ask(join, join.outer, :hole)

          needed = join.inner.is_a?(Catalogue::Line) ? bundle(join.inner, join.passes) : join.inner.wire_thickness
          return ask(join, join.inner, :wire) if needed.nil?
          return gap(join) if slips?(join) && room >= needed

          judged = Passage.judge(:ring, needed, room)
          status = judged.status
          found(join, status, :"ring_#{status}", margin: judged.margin,
            values: { ring: join.outer.name, inner: join.inner.name, passes: join.passes, needed: needed, room: room },
            cures: status == :fits ? [] : ranked(roomier(join, needed)))
        end

        private

        def slips?(join)
          return false if !join.inner.is_a?(Catalogue::Line) || join.outer.soldered

          @open_rings == :forbid || gap_of(join.outer) >= join.inner.thickness
        end

        def gap_of(ring)
          ring.gap || USUAL_GAP
        end

        def gap(join)
          ring = join.outer
          gap = gap_of(ring)
          soldered = others(ring) { |other| other.soldered && other.hole && other.hole >= bundle(join.inner, join.passes) }
          found(join, @open_rings == :forbid ? :will_not : :tight, :ring_gap,
            margin: join.inner.thickness - gap, defaults: ring.gap ? [] : [:usual_gap],
            values: { ring: ring.name, line: join.inner.name, gap: gap, thickness: join.inner.thickness },
            cures: ranked(soldered.map { |other| swap_part(ring, other) }))
        end

        def roomier(join, needed)
          others(join.outer) { |o|
            o.hole && o.hole >= needed + CLEARANCE && o.soldered == join.outer.soldered
          }.map { |o| swap_part(join.outer, o) }
        end
      end
    end
  end
end
