# frozen_string_literal: true

module Core
  module Sizing
    # What one attendee makes, sized.
    #
    # @param worn the inside length asked for
    # @param inside the finished inside length
    # @param slack line that must stay bare between the parts so that it can bend
    # @param on_line the length of the whole path where it is closed
    # @param laid_flat the same over all, with the outer wires of its outermost parts
    # @param play how far an adjustable closure lets it out
    # @param work_ups {component key => WorkUp}
    # @param drawing Lazy of [Shape], the whole piece laid flat with its first end at x = 0
    # @param other_ways Lazy of [Solution] within reach, best first, each as long as the inside that it comes to
    # @param doubt how much larger it may come out than told, zero where that is not worth telling
    # @param closing Lazy of [Catalogue::Part], see #closing_parts
    # @param hung_below {component key => keys of all that hangs from it, directly or further down}
    # @param working [Term]
    # @param joins [Join]
    # @param steps [StepUse] with keys "component/step"
    # @param round whether it closes round a body: its size is then told inside
    # @param measurable [Making::OwnMeasure::Use]
    # @param hanging over all from the ear down, with what hangs at its last end; nil for what does not hang there
    Piece = Value.define(:worn, :inside, :slack, :on_line, :laid_flat, :target, :play, :wraps, :work_ups, :drawing, :working, :joins,
      :steps, :other_ways, measurable: [].freeze, hung_below: {}.freeze,
      closing: Lazy::NOTHING, doubt: Measure::Length::ZERO, round: true, hanging: nil) do
      # @return [Integer] repeats of everything that fills
      def repeats
        work_ups.values.filter_map { |work_up| work_up.lengths.repeats }.sum
      end

      # @return [Symbol] :fits, or :tight when it is worth a look
      def status
        deviation.abs > Piece::NEAR ? :tight : :fits
      end

      # @return [Measure::Length] inside minus worn, negative when short; zero inside an adjustable range
      def deviation
        deviation_of(inside)
      end

      # The same for another inside length with this closure.
      def deviation_of(other)
        return Measure::Length::ZERO if worn.between?(other, other + play)

        worn < other ? other - worn : other + play - worn
      end

      # @return [Array<Making::Shape>]
      def layout
        drawing.value
      end

      # @return [Measure::Length] the inside that it can be worn at, at the shortest: by a chain whose every link takes the clasp
      def worn_shortest
        inside - ((work_ups.each_value.map { |work_up| work_up.lengths.shorter }.max || Measure::Length::ZERO) / wraps)
      end

      # @return [Array<Solution>]
      def options
        other_ways.value
      end

      # @return [Array<Catalogue::Part>] that hang in one another where it closes; none where it is tied, knotted or not closed
      def closing_parts
        closing.value
      end

      def parts
        work_ups.values.flat_map(&:parts)
      end

      def cuts
        work_ups.values.flat_map(&:cuts)
      end

      # @return [Float] grams of all that something is known of; what is left over and what is cut off is no part of it
      def known_grams
        (parts.sum { |use| use.role == :left_over ? 0.0 : Catalogue::Mass.milligrams(use.part).to_f * use.count } +
          cuts.sum { |cut| Catalogue::Mass.of_length(cut.line, cut.body + cut.consumption).to_f * cut.count }) / 1000
      end
    end

    class Piece
      # A finished size further from the one asked for than this is worth a look (common practice, no source: half of the usual ease).
      NEAR = Measure::Length.mm(7)
    end
  end
end
