# frozen_string_literal: true

module Core
  module Sizing
    # What one attendee makes, sized. worn: the inside length wished for · landing: the inside length it comes to
    # on_line: the length of the whole path · play: how far an adjustable closure lets it out
    # work_ups: {component key => WorkUp}
    # drawing: Lazy of [Shape], the whole piece laid flat with its first end at x = 0
    # working: [Term] · joins: [Join] · steps: [StepUse] with keys "component/step"
    Piece = Value.define(:worn, :landing, :on_line, :target, :play, :wraps, :work_ups, :drawing, :working, :joins, :steps, :options) do
      # @return [Integer] repeats of everything that fills
      def repeats
        work_ups.values.filter_map { |work_up| work_up.lengths.repeats }.sum
      end

      # @return [Symbol] :fits, or :tight when it is worth a look
      def status
        deviation.abs > Piece::NEAR ? :tight : :fits
      end

      # @return [Measure::Length] landing minus wish, negative when short; zero inside an adjustable range
      def deviation
        deviation_of(landing)
      end

      # The same for another landing of this closure.
      def deviation_of(other)
        return Measure::Length::ZERO if worn.between?(other, other + play)

        worn < other ? other - worn : other + play - worn
      end

      # @return [Array<Construction::Shape>]
      def layout
        drawing.value
      end

      def parts
        work_ups.values.flat_map(&:parts)
      end

      def cuts
        work_ups.values.flat_map(&:cuts)
      end
    end

    class Piece
      # A landing further from the wish than this is worth a look (common practice, no source: half of the usual ease).
      NEAR = Measure::Length.mm(7)
    end
  end
end
