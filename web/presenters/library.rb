# frozen_string_literal: true

module Web
  module Presenters
    # The saved designs, each drawn at a usual size on one scale.
    class Library
      Row = Core::Value.define(:design, :piece, :drawing, :why_not)

      attr_reader :unit

      def initialize(studio, unit)
        @studio = studio
        @unit = unit
      end

      def rows
        @rows ||= fitted.map do |design, piece|
          drawn = piece.is_a?(Core::Sizing::Piece)
          Row.new(design: design, piece: (piece if drawn), drawing: drawn ? draw(design, piece) : '',
                  why_not: drawn ? nil : Formats::Wording.unfitted(piece, unit: unit))
        end
      end

      private

      def fitted
        @fitted ||= @studio.projects.newest.map do |saved|
          [saved.design, Core::Sizing::Blueprint.new(saved.design, @studio.catalogue.table).fit_usual]
        end
      end

      def draw(design, piece)
        Formats::PieceSvg.new(piece.layout, title: design.name, span_mm: span, unit: unit).to_s
      end

      def span
        @span ||= ((fitted.map(&:last).grep(Core::Sizing::Piece).map { |p| p.on_line.to_mm }.max || 200) / 20).ceil * 20.0
      end
    end
  end
end
