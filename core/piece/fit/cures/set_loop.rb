# frozen_string_literal: true

module Core
  module Fit
    module Cures
      # A loop of another size at the ends of a line.
      class SetLoop < Cure
        code :set_loop

        # @param component [String] its key @param size [Measure::Length] inside the loop
        def initialize(component, size)
          @component = component
          @size = size
          super(change: 0.2, size: size)
        end

        def apply(design)
          Project::Edit.new(design).set(@component, 'loop' => @size.to_s)
        end

        private

        def identity
          [@component, @size.to_s]
        end
      end
    end
  end
end
