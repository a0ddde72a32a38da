# frozen_string_literal: true

module Core
  module People
    # Someone who takes part. measures: {wrist: Length, ...}, what is known · level 1..5
    # ease: nil takes the project's · needs: Needs · notes: in the instructor's words · colourway: nil takes the project's own parts
    # brings: tool keys they bring along · tails: :lean, :usual or :generous; nil takes the line's or the project's
    # experience: {technique key => Experience} · swatches: [Catalogue::Swatch] of their own work
    Attendee = Value.define(:key, :name, :level, measures: {}.freeze, ease: nil, needs: Needs.new, notes: '', colourway: nil,
      brings: [].freeze, tails: nil, experience: {}.freeze, swatches: [].freeze) do
      prepend Catalogue::Keyed

      # @return [Array<Symbol>] some of Needs::FLAGS
      def flags
        needs.flags
      end

      def left_handed?
        needs.left_handed
      end
    end
  end
end
