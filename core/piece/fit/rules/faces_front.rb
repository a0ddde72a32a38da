# frozen_string_literal: true

module Core
  module Fit
    module Rules
      # Each ring turns a part by a quarter: an odd or even number of rings decides whether a pendant faces front
      # (common practice, no source). Which one a pendant needs is measured by holding it up.
      class FacesFront < Rule
        key :faces_front
        rank 110
        judges :faces

        def call(join)
          wanted = join.inner.faces_with or return ask(join, join.inner, :faces_with)

          right = (wanted == :odd) == join.passes.odd?
          ring = others(join.inner) { |o| o.faces_with && o.faces_with != wanted }
          found(join, right ? :fits : :will_not, right ? :faces_front : :faces_aside,
            values: { part: join.inner.name, rings: join.passes, wanted: wanted },
            cures: right ? [] : [rings(join),
                                 *ring.map { |o|
                                   swap_part(join.inner, o)
                                 }].compact)
        end

        private

        # One ring more in the same row.
        def rings(join)
          return unless join.component && join.outer.kind == :ring

          Cures::OneMoreRing.new(join.component, join.outer)
        end
      end
    end
  end
end
