# frozen_string_literal: true

module Core
  module Making
    # What one component comes to at one length: the only thing sizing, fit, bill, cutting, techniques, forecast, drawing and printing know
    # of a construction.
    #
    # @param parts [PartUse]
    # @param cuts [Cut]
    # @param steps [StepUse]
    # @param joins [Join]
    # @param drawing Lazy of [Shape]
    # @param lengths Lengths
    # @param threads Lazy of Threads that show the way of the thread, nil for none
    # @param order {step key => Facts::Place}, found from the facts that its steps need, give and shut
    # @param yields pieces that come of making it once, where others use it like a part
    # @param loading Lazy of [(strand, [(part, count)])] in the order of moves, empty where nothing is loaded first
    # @param cards Lazy of [RowCard, WeaveChart, MarkedLine or DiscStart]: what lies beside the work
    # @param ends {first: End, last: End} where the neighbours on the path attach
    # @param anchors Lazy of [Anchor] where things hang, in order
    WorkUp = Value.define(:parts, :cuts, :steps, :joins, :drawing, :lengths, ends: {}.freeze, anchors: Lazy::NOTHING, order: {}.freeze,
      threads: nil, loading: Lazy::NOTHING, cards: Lazy::NOTHING, yields: 1) do
      # @return [Array<Shape>] what it looks like, laid flat
      def layout
        drawing.value
      end

      # @return [Array<StepUse>] with what each waits for
      def steps_in_order
        steps.map { |step| step.placed(order.fetch(step.key)) }
      end

      # @return [Array<Anchor>]
      def places
        anchors.value
      end

      # What stays in the piece: tails are cut off.
      # @return [Float, nil] milligrams; nil when something is not known
      def mass_mg
        each = parts.map { |use| Catalogue::Mass.milligrams(use.part)&.*(use.count) } +
               cuts.map { |cut| Catalogue::Mass.of_length(cut.line, cut.body + cut.consumption)&.*(cut.count) }
        each.sum unless each.any?(&:nil?)
      end

      # @param number [Integer] how often it is made in one piece @return [WorkUp]
      def times(number)
        return self if number == 1
        return with(parts: [], cuts: [], steps: [], joins: []) if number.zero?

        with(parts: parts.map { |use| use.with(count: use.count * number) }, cuts: cuts.flat_map { |cut| cut.times(number) },
          steps: steps.map { |step| step.with(repeats: step.repeats * number, alike: number) })
      end
    end
  end
end
