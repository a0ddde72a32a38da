# frozen_string_literal: true

module Web
  module Presenters
    # A design drawn at a usual size: to scale on a ruler of its own, or small as it is worn.
    module UsualDrawing
      LEAST_MM = 220
      STEP_MM = 20

      module_function

      # @return [String] SVG
      def worn(design, piece)
        Formats::WornSvg.new(piece, title: design.name).to_s
      end

      # @return [String] SVG
      def of(design, piece, unit)
        span = ([piece.laid_flat.to_mm, LEAST_MM].max / STEP_MM).ceil * STEP_MM.to_f
        Formats::PieceSvg.new(piece.layout, title: design.name, span_mm: span, unit: unit, lit: true).to_s
      end
    end
  end
end
