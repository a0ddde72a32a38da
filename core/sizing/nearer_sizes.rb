# frozen_string_literal: true

module Core
  module Sizing
    # Ways to come nearer to a wished length: other repeats, one or two rings more, an extender.
    module NearerSizes
      # code: :as_designed, :rings or :extender · inside: worn length it comes to (at its shortest) · deviation: from the wish
      # part, count: what is added · change: how much of the design is touched, smaller is less
      NearerSize = Value.define(:code, :repeats, :inside, :deviation, :change, part: nil, count: 0)

      MOST = 5
      # Nobody measures a worn piece more finely.
      ALIKE = Measure::Length.mm(0.5)

      module_function

      # @param piece [Piece] @param table [Catalogue::Table] whose rings and extenders may be used
      # @return [Array<NearerSize>] best first: by deviation, and of those that come equally near by change; none where nothing repeats and
      #   it meets the wish
      def for(piece, table)
        return [] if piece.repeats.zero? && piece.deviation.zero?

        made = [[piece.repeats, piece.inside], *piece.options.map { |option| [option.repeats, option.length] }].uniq
        offers = made.flat_map { |repeats, inside| ways(repeats, inside, piece, table) }
        best_first = offers.sort_by { |offer| [(offer.deviation.abs / ALIKE).round, offer.change, offer.deviation.abs] }
        # Where several fill, other mixes of as many repeats would be told in the same words.
        best_first.uniq { |offer| [offer.code, offer.repeats, offer.count] }.first(MOST)
      end

      def ways(repeats, inside, piece, table)
        plain = NearerSize.new(code: :as_designed, repeats: repeats, inside: inside, deviation: piece.deviation_of(inside),
          change: repeats == piece.repeats ? 0 : 1)
        return [plain] unless inside < piece.worn

        [plain, *rings(plain, piece, table), *extenders(plain, piece, table)]
      end

      # What is added to the line is shared by all turns round the body.
      def rings(plain, piece, table)
        ring = table.parts.values.select { |part| part.kind == :ring && !part.soldered }.min_by(&:along) or return []
        (1..2).map do |count|
          inside = plain.inside + (ring.along * count / piece.wraps)
          plain.with(code: :rings, inside: inside, deviation: piece.deviation_of(inside), part: ring, count: count,
            change: plain.change + 1 + count)
        end
      end

      def extenders(plain, piece, table)
        gap = (piece.worn - plain.inside) * piece.wraps
        reaching = table.parts.values.select { |part| part.play.positive? && gap.between?(part.along, part.along + part.play) }
        reaching.min_by(1, &:play).map do |part|
          plain.with(code: :extender, inside: plain.inside + (part.along / piece.wraps), deviation: Measure::Length::ZERO, part: part,
            count: 1, change: plain.change + 4)
        end
      end
      private_class_method :ways, :rings, :extenders
    end
  end
end
