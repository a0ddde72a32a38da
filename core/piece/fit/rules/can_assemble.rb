# frozen_string_literal: true

module Core
  module Fit
    module Rules
      # Of two things that hang in one another one must open, or be closed only when it already hangs there (two closed loops
      # cannot be linked).
      class CanAssemble < Rule
        key :can_assemble
        rank 90
        judges :hangs_in

        def call(join)
          return found(join, :fits, :can_assemble, values: names(join)) if join.in_place || opens?(join.inner) || opens?(join.outer)

          found(join, :will_not, :nothing_opens, values: names(join), cures: ranked(swaps(join) + rings(join)))
        end

        private

        def opens?(item)
          item.is_a?(Catalogue::Part) && item.opens?
        end

        def names(join)
          { inner: join.inner.name, outer: join.outer.name }
        end

        # An opening ring in place of a closed one.
        def swaps(join)
          closed = [join.inner, join.outer].find { |item| item.is_a?(Catalogue::Part) && item.kind == :ring } or return []

          others(closed, &:opens?).map { |other| swap_part(closed, other) }
        end

        # An opening ring between the two.
        def rings(join)
          return [] unless join.component && join.inner.is_a?(Catalogue::Part)

          @table.parts.values.select { |part| part.kind == :ring && part.opens? }.sort_by(&:outer).first(2).map do |ring|
            Cures::OneMoreRing.new(join.component, ring, between: [join.inner, join.outer])
          end
        end
      end
    end
  end
end
