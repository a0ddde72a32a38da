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
        made = [[repeats_of(piece), piece.landing], *piece.options.map { |option| [option.repeats, option.length] }].uniq
        made.flat_map { |repeats, landing| ways(repeats, landing, piece, table) }.sort_by { |offer| [offer.deviation.abs, offer.change] }.first(MOST)
      end

      def ways(repeats, landing, piece, table)
        plain = Offer.new(code: :as_designed, repeats: repeats, landing: landing, deviation: deviation(landing, piece.play, piece), change: repeats == repeats_of(piece) ? 0 : 1)
        return [plain] unless landing < piece.worn

        [plain, *rings(plain, piece, table), *extenders(plain, piece, table)]
      end

      def rings(plain, piece, table)
        ring = table.parts.values.select { |part| part.kind == :ring && !part.soldered }.min_by(&:along) or return []
        (1..2).map do |count|
          landing = plain.landing + (ring.along * count)
          plain.with(code: :rings, landing: landing, deviation: deviation(landing, piece.play, piece), part: ring, count: count, change: 1 + count)
        end
      end

      def extenders(plain, piece, table)
        table.parts.values.select { |part| part.play.positive? && (piece.worn - plain.landing).between?(part.along, part.along + part.play) }.min_by(&:play).then do |part|
          part ? [plain.with(code: :extender, landing: plain.landing + part.along, deviation: Measure::Length::ZERO, part: part, count: 1, change: 4)] : []
        end
      end

      def deviation(landing, play, piece)
        return Measure::Length::ZERO if piece.worn.between?(landing, landing + play)

        piece.worn < landing ? landing - piece.worn : landing + play - piece.worn
      end

      def repeats_of(piece)
        piece.work_ups.values.filter_map { |work_up| work_up.lengths.repeats }.sum
      end
      private_class_method :ways, :rings, :extenders, :deviation, :repeats_of
    end
  end
end
