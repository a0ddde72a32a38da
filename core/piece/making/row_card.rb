# frozen_string_literal: true

module Core
  module Making
    # Runs of beads that are ticked off while working: one column for each petal, leaf or loop, one line for each run of wire.
    #
    # @param role of its beads: :petal, :leaf … or :bead
    # @param bead Catalogue::Part
    # @param number how many alike
    # @param runs beads on each run of wire, in the order of work
    RowCard = Value.define(:role, :bead, :number, :runs) do
      # @return [Integer] beads in all
      def beads
        runs.sum * number
      end
    end
  end
end
