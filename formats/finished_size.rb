# frozen_string_literal: true

module Formats
  # How a piece's finished size stands beside the size asked for: in words, and as marks on its ruler.
  module FinishedSize
    module_function

    # @param piece [Core::Sizing::Piece]
    def words(piece, unit)
      return 'within the range of the closure' if piece.deviation.zero? && piece.play.positive?
      return 'as asked' if piece.deviation.zero?

      "#{LengthPrint.call(piece.deviation.abs, unit)} #{piece.deviation.negative? ? 'shorter' : 'longer'} than asked"
    end

    # @return [Array<PieceSvg::Mark>]
    def marks(piece, unit)
      asked = Wording.say('sizes.asked', size: Wording.size(piece.worn, round: piece.round, unit: unit))
      [PieceSvg::Mark.new(at: piece.target.to_mm, status: :asked, text: asked),
       PieceSvg::Mark.new(at: piece.laid_flat.to_mm, status: piece.status, text: "finished: #{words(piece, unit)}")]
    end
  end
end
