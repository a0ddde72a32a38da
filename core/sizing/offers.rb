# frozen_string_literal: true

module Core
  module Sizing
    # Ways to come nearer to a wished length: other repeats, one or two rings more, an extender.
    module Offers
      # code: :as_designed, :rings or :extender · landing: worn length it comes to (at its shortest) · deviation: from the wish
      # part, count: what is added · change: how much of the design is touched, smaller is less
      Offer = Value.define(:code, :repeats, :landing, :deviation, :change, part: nil, count: 0)

      MOST = 5

      module_function

      # @param piece [Piece] @param table [Catalogue::Table] whose rings and extenders may be used
      # @return [Array<Offer>] best first: by deviation, then by change
      def for(piece, table)
        made = [[piece.repeats, piece.landing], *piece.options.map { |option| [option.repeats, option.length] }].uniq
        offers = made.flat_map { |repeats, landing| ways(repeats, landing, piece, table) }
        offers.sort_by { |offer| [offer.deviation.abs, offer.change] }.first(MOST)
      end

      def ways(repeats, landing, piece, table)
        plain = Offer.new(code: :as_designed, repeats: repeats, landing: landing, deviation: piece.deviation_of(landing), change: repeats == piece.repeats ? 0 : 1)
        return [plain] unless landing < piece.worn

        [plain, *rings(plain, piece, table), *extenders(plain, piece, table)]
      end

      # What is added to the line is shared by all turns round the body.
      def rings(plain, piece, table)
        ring = table.parts.values.select { |part| part.kind == :ring && !part.soldered }.min_by(&:along) or return []
        (1..2).map do |count|
          landing = plain.landing + (ring.along * count / piece.wraps)
          plain.with(code: :rings, landing: landing, deviation: piece.deviation_of(landing), part: ring, count: count, change: 1 + count)
        end
      end

      def extenders(plain, piece, table)
        gap = (piece.worn - plain.landing) * piece.wraps
        reaching = table.parts.values.select { |part| part.play.positive? && gap.between?(part.along, part.along + part.play) }
        reaching.min_by(1, &:play).map do |part|
          plain.with(code: :extender, landing: plain.landing + (part.along / piece.wraps), deviation: Measure::Length::ZERO, part: part, count: 1, change: 4)
        end
      end
      private_class_method :ways, :rings, :extenders
    end
  end
end
