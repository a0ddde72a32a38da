# frozen_string_literal: true

module Core
  module Sizing
    # One component of a blueprint with its construction. A work-up at one length is used again for the same length: people of
    # different sizes often differ in one component only.
    class Member
      # Lengths whose work is remembered.
      MOST = 500

      attr_reader :component, :construction

      # @param component [Project::Component] @param construction [Construction::Base]
      def initialize(component, construction)
        @component = component
        @construction = construction
        @rows = LruCache.new(MOST)
        @work_ups = LruCache.new(MOST)
        @placed = LruCache.new(MOST, by_identity: true)
        @widths = LruCache.new(MOST, by_identity: true)
      end

      def key
        component.key
      end

      # @return [Boolean] whether it repeats until a length is met
      def fills?
        !construction.fill.nil?
      end

      # @return [Boolean] whether it takes up the length that is left; with a length of its own it stays as it is while others do
      def takes_rest?
        fills? && component.length.nil?
      end

      # @return [Boolean] whether the two are the two halves of one thing, and so come out alike
      def twin?(other)
        component.construction == other.component.construction && component.parameters == other.component.parameters
      end

      # @return [Measure::Length] on the path, of what does not take the rest
      def own_path_length
        fills? ? construction.path_length(own_solution) : construction.fixed_length
      end

      # @return [Solution, OutOfReach, nil] at its own length, nil where it is fixed
      def own_solution
        @own_solution ||= construction.solve(component.own_length) if fills?
      end

      # @param solution [Solution, nil] nil where it is fixed @return [Array<Making::ThreadedElement>] all that is on the path, in order
      def row(solution)
        @rows.fetch(solution&.made) { construction.on_line(solution) }
      end

      # @param work_up [Making::WorkUp] of it @return [Array<Making::StepUse>] with keys "component/step"
      def placed(work_up)
        @placed.fetch(work_up.steps) { work_up.steps.map { |step| step.placed(work_up.order.fetch(step.key), key) } }
      end

      # @param work_up [Making::WorkUp] of it @return [Float] how wide it is drawn, in millimetres
      def width(work_up)
        @widths.fetch(work_up) { work_up.layout.map { |shape| shape.reach * 2 }.max || 0.0 }
      end

      # @param solution [Solution, nil] nil where it is fixed @param maker [Making::Maker]
      # @return [Making::WorkUp]
      def work_up(solution, maker)
        worn_by = [maker.measure, maker.wraps] if construction.class.cut_to_body?
        @work_ups.fetch([solution&.made, maker.tails, maker.by_line, worn_by]) { construction.make(solution, maker) }
      end
    end
  end
end
