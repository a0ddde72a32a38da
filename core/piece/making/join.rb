# frozen_string_literal: true

module Core
  module Making
    # Two things that must go together. inner passes, grips or hangs in outer;
    #
    # @param at distance along the component.
    # @param in_place whether the inner one is closed only when it already hangs in the outer one, as the loop of a line is
    # @param loop inside the loop of a line that hangs, nil for what suits
    # @param swollen how many times its tightest bundle a bound and glued end may be, nil for what is usual
    # @param kind :lines_through, :crimp_on_lines, :cover_on_crimp, :cap_on_bead, :hangs_in, :holds_by_friction, :cord_in_end, :bound_in_end
    #   (glued strands with their binding), :loops_round
    Join = Value.define(:kind, :inner, :outer, :at, passes: 1, component: nil, in_place: false, loop: nil, swollen: nil)
  end
end
