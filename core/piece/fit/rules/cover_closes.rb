# frozen_string_literal: true

module Core
  module Fit
    module Rules
      # A cover closes over its crimp, and does not look wrong beside its neighbour.
      class CoverCloses < Rule
        key :cover_closes
        rank 30
        judges :cover_on_crimp, :cover_beside

        # How much wider than its neighbour a cover may be before it looks wrong (from memory).
        WIDER = Measure::Length.mm(0.6)

        def call(join)
          join.kind == :cover_beside ? beside(join) : over(join)
        end

        private

        def over(join)
          room = join.outer.room
          margin = room - join.inner.outer
          about = {
            margin: margin,
            defaults: join.outer.hole ? [] : [:cover_room],
            values: { cover: join.outer.name, crimp: join.inner.name, room: room, crimp_width: join.inner.outer }
          }
          return found(join, :fits, :cover_fits, **about) unless margin.negative?

          found(join, :will_not, :cover_too_small, **about, cures: covers(join.outer) { |c| c.room >= join.inner.outer })
        end

        def beside(join)
          margin = join.inner.outer + WIDER - join.outer.outer
          about = { margin: margin, defaults: [:wider], values: { cover: join.outer.name, bead: join.inner.name } }
          return found(join, :fits, :cover_sits, **about) unless margin.negative?

          found(join, :tight, :cover_wide, **about, cures: covers(join.outer) { |c| c.outer <= join.inner.outer + WIDER })
        end

        def covers(cover, &good)
          ranked(others(cover, &good).map { |other| swap_part(cover, other) })
        end
      end
    end
  end
end
