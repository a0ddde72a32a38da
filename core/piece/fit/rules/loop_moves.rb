# frozen_string_literal: true

module Core
  module Fit
    module Rules
      # The loop of a line round a finding: it must move on it, and not gape. Shaped over something round of the right size, all loops come
      # out alike.
      class LoopMoves < Rule
        key :loop_moves
        rank 80
        judges :loops_round

        # How much wider than the finding's wire a loop is at the least, as usual and at the most (from memory).
        RIGID = Measure::Length.mm(0.3)
        USUAL = Measure::Length.mm(1)
        GAPING = Measure::Length.mm(4)
        # What jaws and pins are made in.
        FORMERS = [1.5, 2, 2.5, 3, 4, 5, 6, 8, 10].map { |size| Measure::Length.mm(size) }.freeze

        def call(join)
          wire = join.outer.wire_thickness or return ask(join, join.outer, :wire)

          former = former(wire)
          room = (join.loop || former) - wire
          status, code = judged(room)
          found(join, status, code, margin: room - RIGID, defaults: join.loop ? [] : [:loop_room],
            values: { line: join.inner.name, part: join.outer.name, loop: join.loop || former, former: former },
            cures: status == :fits ? [] : [Cures::SetLoop.new(join.component, former)])
        end

        # @return [Measure::Length] the smallest that leaves the loop its usual room
        def former(wire)
          FORMERS.find { |size| size >= wire + USUAL } || (wire + USUAL)
        end

        private

        def judged(room)
          return %i[tight loop_rigid] if room < RIGID

          room > GAPING ? %i[tight loop_gapes] : %i[fits loop_moves]
        end
      end
    end
  end
end
