# frozen_string_literal: true

module Core
  module Fit
    module Rules
      # A ring, loop or eye has room for all that hangs in it; a line must not slip out through the gap of one that is not soldered.
      class RingHolds < Rule
        key :ring_holds
        judges :hangs_in

        # The gap of a ring closed by hand, where none was measured (from memory).
        USUAL_GAP = Measure::Length.mm(0.3)

        def call(join)
          room = room_of(join.outer) or return ask(join, join.outer, :hole)

          needed = join.inner.is_a?(Catalogue::Line) ? bundle(join.inner, join.passes) : wire_of(join.inner)
          return gap(join) if slips?(join) && room >= needed

          margin = room - needed
          status = if margin >= CLEARANCE then :fits
                   else margin.negative? ? :will_not : :tight
                   end
          found(join, status, :"ring_#{status}", margin: margin,
            values: { ring: join.outer.name, inner: join.inner.name, passes: join.passes, needed: needed, room: room },
            cures: status == :fits ? [] : ranked(roomier(join, needed)))
        end

        private

        # Findings whose eye nobody measured take at least the wire of a ring: only rings are asked about.
        def room_of(part)
          part.hole || (part.kind == :ring ? nil : part.outer / 2)
        end

        # What of a part passes through another's eye: the wire of a ring, a third of anything else (from memory).
        def wire_of(part)
          part.kind == :ring && part.hole ? (part.outer - part.hole) / 2 : part.outer / 6
        end

        def slips?(join)
          join.inner.is_a?(Catalogue::Line) && !join.outer.soldered && gap_of(join.outer) >= join.inner.thickness
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
