# frozen_string_literal: true

module Web
  module Presenters
    # Where a piece lands beside the wish: in words, and as marks on its ruler.
    module Landing
      module_function

      # @param piece [Core::Sizing::Piece]
      def text(piece, unit)
        return piece.play.positive? ? 'inside the range of the closure' : 'lands as wished' if piece.deviation.zero?

        "lands #{Formats::LengthPrint.call(piece.deviation, unit, signed: true)}"
      end

      # @return [Array<Formats::PieceSvg::Mark>]
      def marks(piece, unit)
        [Formats::PieceSvg::Mark.new(at: piece.target.to_mm, status: :wish, text: "wished #{Formats::LengthPrint.call(piece.worn, unit)} worn"),
         Formats::PieceSvg::Mark.new(at: piece.on_line.to_mm, status: piece.status, text: text(piece, unit))]
      end
    end
  end
end
