# frozen_string_literal: true

module Core
  module Sizing
    # What one attendee makes, sized. worn: the inside length wished for · landing: the inside length it comes to
    # on_line: the length of the whole path · play: how far an adjustable closure lets it out
    # work_ups: {component key => WorkUp}
    # drawing: Lazy of [Shape], the whole piece laid flat with its first end at x = 0
    # working: [Term] · joins: [Join] · steps: [StepUse] with keys "component/step"
    Piece = Value.define(:worn, :landing, :on_line, :target, :play, :work_ups, :drawing, :working, :joins, :steps, :options) do
      # @return [Measure::Length] landing minus wish, negative when short; zero inside an adjustable range
      def deviation
        return worn - worn if worn.between?(landing, landing + play)

        worn < landing ? landing - worn : landing + play - worn
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
  end
end
