# frozen_string_literal: true

module Core
  module Fit
    module Cures
      # Another line in the place of one.
      class SwapLine < Swap
        code :swap_line

        def initialize(from, to, change: 1)
          super
        end
      end
    end
  end
end
