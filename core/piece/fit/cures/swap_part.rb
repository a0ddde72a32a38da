# frozen_string_literal: true

module Core
  module Fit
    module Cures
      # Another part in the place of one: the more its size differs, the larger the change.
      class SwapPart < Swap
        code :swap_part

        def initialize(from, to)
          super(from, to, change: 2 + (to.along - from.along).abs.to_mm)
        end
      end
    end
  end
end
