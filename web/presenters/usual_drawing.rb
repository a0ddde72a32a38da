# frozen_string_literal: true

module Web
  module Presenters
    # A design drawn to scale at a usual size, on a ruler of its own.
    module UsualDrawing
      LEAST_MM = 220
      STEP_MM = 20

      module_function

      # @return [String] SVG
      def of(design, piece, unit)
        span = ([piece.laid_flat.to_mm, LEAST_MM].max / STEP_MM).ceil * STEP_MM.to_f
        Formats::PieceSvg.new(piece.layout, title: design.name, span_mm: span, unit: unit).to_s
      end
    end
  end
end
