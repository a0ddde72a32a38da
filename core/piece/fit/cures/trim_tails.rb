# frozen_string_literal: true

module Core
  module Fit
    module Cures
      # Tails trimmed at the crimp instead of buried, so that no second pass is needed.
      class TrimTails < Cure
        code :trim_tails

        # @param component [String] its key
        def initialize(component)
          @component = component
          super(change: 0.5)
        end

        def apply(design)
          Project::Edit.new(design).set(@component, 'tails' => 'trimmed')
        end

        private

        def identity
          [@component]
        end
      end
    end
  end
end
