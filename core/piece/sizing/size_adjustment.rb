# frozen_string_literal: true

module Core
  module Sizing
    # What to change when the piece is tried on before it is closed, and should be so much shorter or longer.
    module SizeAdjustment
      # @param by what should change, negative for shorter
      # @param offer NearerSize that comes nearest, or nil where none comes nearer
      Change = Value.define(:by, :offer)

      # What hands feel as a little, clearly and much too tight or loose, in millimetres (common practice, no source).
      STEPS_MM = [-20, -10, -5, 5, 10, 20].freeze

      module_function

      # @param piece [Piece]
      # @param additions [Array<Catalogue::Part>] see NearerSizes.for
      # @return [Array<Change>] from much shorter to much longer; each way once, at the wish that it meets best
      def changes(piece, additions)
        found = STEPS_MM.map { |millimetres| change(piece, additions, Measure::Length.mm(millimetres)) }.select(&:offer)
        found.group_by { |one| way(one.offer) }.map { |_, same| same.min_by { |one| [one.offer.deviation.abs, one.by.abs] } }
      end

      # @param measured [Measure::Length] inside, as it came out before it is closed
      # @return [Change, nil] what to change, with no offer where nothing comes nearer; nil where it fits and goes on
      def advice(piece, additions, measured)
        change(piece, additions, piece.worn - measured) if piece.deviation_of(measured).abs > Piece::NEAR
      end

      # What brings it less than half of the way is no answer to the wish.
      def change(piece, additions, by)
        offer = NearerSizes.for(piece.with(worn: piece.inside + by), additions).first
        Change.new(by: by, offer: (offer if offer && offer.deviation.abs <= by.abs / 2 && change?(offer, piece)))
      end

      # @return [Array] equal for offers that are told in the same words
      def way(offer)
        [offer.code, offer.repeats, offer.part, offer.count]
      end

      def change?(offer, piece)
        offer.code != :as_designed || offer.repeats != piece.repeats
      end
      private_class_method :change, :change?, :way
    end
  end
end
