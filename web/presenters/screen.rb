# frozen_string_literal: true

module Web
  module Presenters
    # The class for all to see: the clock, the step most are at, what it looks like, and how far everyone is. Nobody is named.
    class Screen
      include Printing

      # @param live [Live]
      def initialize(live)
        @live = live
      end

      def id
        @live.id
      end

      def title
        @live.title
      end

      def state
        @live.state
      end

      def clock
        @live.clock
      end

      def left
        @live.left
      end

      def unit
        @live.unit
      end

      # @return [Core::Making::StepUse, nil] the step most are at, the earlier of two
      def step
        tasks = @live.evening.working.map(&:task)
        tasks.group_by { |task| task.step.key }.values.max_by { |same| [same.size, -order(same.first)] }&.first&.step
      end

      # @return [Array<(String, Integer)>] steps with how many are at each, in order
      def places
        @live.evening.working.map(&:task).group_by { |task| task.step.key }.values.sort_by { |same| order(same.first) }
          .map { |same| [step_in_short(same.first.step), same.size] }
      end

      def done
        @live.evening.people.values.count(&:done?)
      end

      # @return [String, nil] what it looks like after the step, at a usual size
      def drawing
        piece = @live.plan.sample.piece
        return unless step && piece.is_a?(Core::Sizing::Piece)

        moment = Core::Sizing::WorkState.new(piece, @live.plan.steps.map(&:step)).after(step)
        shapes = moment ? moment.before + moment.added : piece.layout
        longest = shapes.map { |shape| shape.x + (shape.along / 2) }.max || 0
        Formats::PieceSvg.new(shapes, title: 'What it looks like after this step', span_mm: Sections::Drawn.ruler(longest), unit: unit,
          ruler: false).to_s
      end

      private

      def order(task)
        @live.plan.steps.index { |planned| planned.step.key == task.step.key } || 99
      end
    end
  end
end
