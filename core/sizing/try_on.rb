# frozen_string_literal: true

module Core
  module Sizing
    # What to change when the piece is tried on before it is closed, and should be so much shorter or longer.
    module TryOn
      # by: what should change, negative for shorter · offer: NearerSize that comes nearest
      Change = Value.define(:by, :offer)

      # What hands feel as a little, clearly and much too tight or loose, in millimetres (common practice, no source).
      STEPS_MM = [-20, -10, -5, 5, 10, 20].freeze

      module_function

      # @param piece [Piece] @param table [Catalogue::Table]
      # @return [Array<Change>] from much shorter to much longer, without those that nothing comes nearer to
      def changes(piece, table)
        STEPS_MM.filter_map do |millimetres|
          by = Measure::Length.mm(millimetres)
          asked = piece.with(worn: piece.inside + by)
          offer = NearerSizes.for(asked, table).first
          Change.new(by: by, offer: offer) if offer && offer.deviation.abs < by.abs && change?(offer, piece)
        end
      end

      # @param measured [Measure::Length] inside, as it came out before it is closed
      # @return [Change, nil] what to change, or nil where it fits and goes on
      def advice(piece, table, measured)
        return if piece.deviation_of(measured).abs <= Piece::NEAR

        by = piece.worn - measured
        offer = NearerSizes.for(piece.with(worn: piece.inside + by), table).first
        Change.new(by: by, offer: offer) if offer
      end

      def change?(offer, piece)
        offer.code != :as_designed || offer.repeats != piece.repeats
      end
      private_class_method :change?
    end
  end
end
