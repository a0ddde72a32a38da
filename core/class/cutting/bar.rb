# frozen_string_literal: true

module Core
  module Cutting
    # One continuous length of line and the pieces cut from it, longest first. fresh: a reel still to be bought
    Bar = Value.define(:length, :pieces, fresh: true) do
      def fresh?
        fresh
      end

      def left
        length - Measure::Length.sum(pieces.map(&:length))
      end

      def adding(more)
        with(pieces: (pieces + more).sort_by { |piece| -piece.length })
      end
    end
  end
end
