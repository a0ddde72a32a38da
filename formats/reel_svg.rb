# frozen_string_literal: true

require 'cgi'

module Formats
  # Draws one reel with its pieces in cutting order, to one scale; what is left is hatched.
  class ReelSvg
    WIDTH = 1000.0
    HEIGHT = 34

    # @param pieces [Array<Core::Cutting::WantedCut>] @param reel_length [Core::Measure::Length] @param unit [Symbol]
    def initialize(pieces, reel_length, unit:, title:)
      @pieces = pieces
      @reel = reel_length
      @unit = unit
      @title = title
    end

    # @return [String]
    def to_s
      edge = 0.0
      cells = @pieces.map do |piece|
        width = (piece.length / @reel * WIDTH).to_f
        cell = cell(edge, width, piece)
        edge += width
        cell
      end
      %(<svg class="reel" viewBox="0 0 #{WIDTH} #{HEIGHT}" role="img" aria-label="#{h(@title)}"><rect class="rest" fill="#e4e4e4" ) +
        %(stroke="#000" width="#{WIDTH}" height="#{HEIGHT - 4}" y="2"/>#{cells.join}</svg>)
    end

    private

    def cell(left, width, piece)
      room = (width / 6.4).floor - 1
      name = piece.owner.length > room ? piece.owner[0, [room, 0].max] : piece.owner
      %(<rect class="cut" fill="#fff" stroke="#000" x="#{left.round(2)}" y="2" width="#{width.round(2)}" height="#{HEIGHT - 4}"/>) +
        (room > 2 ? %(<text x="#{(left + 4).round(2)}" y="14" font-size="10.5" fill="currentColor">#{h(name)}</text><text ) +
          %(x="#{(left + 4).round(2)}" y="26" font-size="10.5" font-weight="700" ) +
          %(fill="currentColor">#{h(LengthPrint.call(piece.length, @unit)[0, [room, 0].max])}</text>) : '')
    end

    def h(text)
      CGI.escapeHTML(text)
    end
  end
end
