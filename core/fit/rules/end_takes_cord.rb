# frozen_string_literal: true

module Core
  module Fit
    module Rules
      # A glued end takes the bundle and leaves no room for it to slip out.
      class EndTakesCord < Rule
        key :end_takes_cord
        judges :cord_in_end

        # The bore lies between the bundle and about this many times it (from memory).
        ROOMY = 1.25

        def call(join)
          bore = join.outer.hole or return ask(join, join.outer, :hole)

          needed = bundle(join.inner, join.passes)
          status, code = judged(bore, needed)
          found(join, status, code, margin: code == :end_loose ? (needed * ROOMY) - bore : bore - needed, defaults: [:roomy],
            values: { end: join.outer.name, line: join.inner.name, passes: join.passes, needed: needed, bore: bore },
            cures: status == :fits ? [] : cures(join.outer, needed))
        end

        private

        def cures(part, needed)
          good = others(part) { |other| other.hole && judged(other.hole, needed).first == :fits }
          ranked(good.map { |other| swap_part(part, other) })
        end

        def judged(bore, needed)
          return %i[will_not end_too_small] if bore < needed
          return %i[tight end_loose] if bore > needed * ROOMY

          %i[fits end_fits]
        end
      end
    end
  end
end
