# frozen_string_literal: true

module Core
  module Sizing
    # Ways to come nearer to a wished length: other repeats, a bead more at each end, one or two rings more, an extender.
    module NearerSizes
      # @param code :as_designed, :end_beads, :rings or :extender
      # @param inside worn length it comes to, at its shortest
      # @param up_to the same at its longest, nil for what does not adjust
      # @param deviation from the wish
      # @param part what is added
      # @param count see part
      # @param round whether the piece closes round a body
      # @param change how much of the design is touched, smaller is less
      NearerSize = Value.define(:code, :repeats, :inside, :deviation, :change, part: nil, count: 0, up_to: nil,
        round: true)

      MOST = 6
      # Of one kind, so that each is seen beside the others.
      MOST_ALIKE = 2
      # Nobody measures a worn piece more finely.
      ALIKE = Measure::Length.mm(0.5)

      module_function

      # @param piece [Piece]
      # @param additions [Array<Catalogue::Part>] rings and extenders that its closure takes
      # @return [Array<NearerSize>] best first: by deviation, and of those that come equally near by change; none where nothing repeats and
      #   it meets the wish
      def for(piece, additions)
        return [] if piece.repeats.zero? && piece.deviation.zero?

        made = [[piece.repeats, piece.inside], *piece.options.map { |option| [option.repeats, option.length] }].uniq
        offers = made.flat_map { |repeats, inside| ways(repeats, inside, piece, additions) }
        best_first = offers.sort_by { |offer| [(offer.deviation.abs / ALIKE).round, offer.change, offer.deviation.abs] }
        # Where several fill, other mixes of as many repeats would be told in the same words.
        told = best_first.uniq { |offer| [offer.code, offer.repeats, offer.count, offer.part] }
        few = told.group_by(&:code).flat_map { |_, alike| alike.first(MOST_ALIKE) }
        told.select { |offer| few.include?(offer) }.first(MOST)
      end

      def ways(repeats, inside, piece, additions)
        plain = NearerSize.new(code: :as_designed, repeats: repeats, inside: inside, deviation: piece.deviation_of(inside),
          round: piece.round, change: repeats == piece.repeats ? 0 : 1)
        return [plain] unless inside < piece.worn

        [plain, *end_beads(plain, piece), *rings(plain, piece, additions), *extenders(plain, piece, additions)]
      end

      # A bead that is in the bag anyway, on both sides alike; of those that are as long the first of the design.
      def end_beads(plain, piece)
        beads = piece.work_ups.each_value.flat_map { |work_up| work_up.lengths.addable }.uniq(&:threaded)
        beads.map do |part|
          inside = plain.inside + (part.threaded * 2 / piece.wraps)
          plain.with(code: :end_beads, inside: inside, deviation: piece.deviation_of(inside), part: part, count: 2,
            change: plain.change + 1)
        end
      end

      # What is added to the line is shared by all turns round the body.
      def rings(plain, piece, additions)
        ring = additions.select { |part| part.kind == :ring }.min_by(&:linked) or return []
        (1..2).map do |count|
          inside = plain.inside + (ring.linked * count / piece.wraps)
          plain.with(code: :rings, inside: inside, deviation: piece.deviation_of(inside), part: ring, count: count,
            change: plain.change + 1 + count)
        end
      end

      def extenders(plain, piece, additions)
        gap = (piece.worn - plain.inside) * piece.wraps
        reaching = additions.select { |part| part.play.positive? && gap.between?(part.linked, part.linked + part.play) }
        reaching.min_by(1, &:play).map do |part|
          shortest = plain.inside + (part.linked / piece.wraps)
          plain.with(code: :extender, inside: shortest, up_to: shortest + (part.play / piece.wraps), deviation: Measure::Length::ZERO,
            part: part, count: 1, change: plain.change + 4)
        end
      end
      private_class_method :ways, :end_beads, :rings, :extenders
    end
  end
end
