# frozen_string_literal: true

module Core
  module Sizing
    # How a piece hangs on a body held level or upright.
    module Hung
      ON = { neck: Hang, wrist: WristHang, ankle: WristHang }.freeze

      module_function

      # @param piece [Piece] @param body [Symbol] @param measure [Measure::Length, nil] round it
      # @return [Hang, WristHang, nil] nil where it lies close, or where weights or the measure are missing
      def on(body, piece, measure)
        ON[body]&.of(piece, measure) if measure
      end
    end
  end
end
