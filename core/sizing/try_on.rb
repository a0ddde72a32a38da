# frozen_string_literal: true

module Core
  module Sizing
    # What to change when the piece is tried on before it is closed, and should be so much shorter or longer.
    module TryOn
      # by: what should change, negative for shorter · offer: NearerSize that comes nearest, or nil where none comes nearer
      Change = Value.define(:by, :offer)

      # What hands feel as a little, clearly and much too tight or loose, in millimetres (common practice, no source).
      STEPS_MM = [-20, -10, -5, 5, 10, 20].freeze

      module_function

      # @param piece [Piece] @param table [Catalogue::Table]
      # @return [Array<Change>] from much shorter to much longer, without those that nothing comes nearer to
      def changes(piece, table)
        STEPS_MM.filter_map do |millimetres|
          change = change(piece, table, Measure::Length.mm(millimetres))
          change if change.offer
        end
      end

      # @param measured [Measure::Length] inside, as it came out before it is closed
      # @return [Change, nil] what to change, with no offer where nothing comes nearer; nil where it fits and goes on
      def advice(piece, table, measured)
        change(piece, table, piece.worn - measured) if piece.deviation_of(measured).abs > Piece::NEAR
      end

      def change(piece, table, by)
        offer = NearerSizes.for(piece.with(worn: piece.inside + by), table).first
        Change.new(by: by, offer: (offer if offer && offer.deviation.abs < by.abs && change?(offer, piece)))
      end

      def change?(offer, piece)
        offer.code != :as_designed || offer.repeats != piece.repeats
      end
      private_class_method :change, :change?
    end
  end
end
