# frozen_string_literal: true

module Core
  module Fit
    module Cures
      # One ring more, first in its row.
      class OneMoreRing < Cure
        code :one_more_ring

        # @param component [String] its key @param ring [Catalogue::Part]
        def initialize(component, ring)
          @component = component
          @ring = ring
          super(change: 1, ring: ring.name)
        end

        def apply(design)
          row = design.components.find { |component| component.key == @component }.parameters.fetch('parts')
          Project::Edit.new(design).set(@component, 'parts' => [{ 'part' => @ring.key }, *row])
        end

        private

        def identity
          [@component, @ring.key]
        end
      end
    end
  end
end
