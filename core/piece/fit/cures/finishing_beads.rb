# frozen_string_literal: true

module Core
  module Fit
    module Cures
      # Beads with a larger hole next to each crimp, which alone the tail goes back through.
      class FinishingBeads < Cure
        code :finishing_beads

        # Wider ones show.
        LARGEST = Measure::Length.mm(5)
        # As many as a tail is buried through at the least.
        NUMBER = 2

        # @param component [String] its key @param bead [Catalogue::Part]
        def initialize(component, bead)
          @component = component
          @bead = bead
          super(change: 0.8, bead: bead.name, count: NUMBER)
        end

        def apply(design)
          Project::Edit.new(design).set(@component, 'finishing' => [{ 'part' => @bead.key, 'count' => NUMBER }], 'bury_through' => NUMBER)
        end

        private

        def identity
          [@component, @bead.key]
        end
      end
    end
  end
end
