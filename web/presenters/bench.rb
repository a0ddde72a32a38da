# frozen_string_literal: true

module Web
  module Presenters
    # The coming classes, each with its piece, what is in the way, and one next thing.
    class Bench
      # One class. drawing: SVG of its piece at the first person's size or a usual one
      Row = Core::Value.define(:id, :workshop, :project, :people, :verdicts, :next_thing, :drawing)

      # @param forecasts [Refining] what is known already of each class's session
      def initialize(studio, forecasts)
        @studio = studio
        @forecasts = forecasts
      end

      def rows
        @rows ||= stored.map { |klass| row(klass, @studio.plan(klass)) }
      end

      def removed
        @removed ||= @studio.classes.removed.first(5)
      end

      private

      def stored
        @stored ||= @studio.classes.all
      end

      def row(klass, plan)
        verdicts = plan.verdicts(@studio.supply(klass.id), @forecasts.peek([klass.id, klass.revision, *@studio.stamp]))
        Row.new(id: klass.id, workshop: klass.state.workshop, project: plan.design.name, people: plan.people.size, verdicts: verdicts,
                next_thing: verdicts.find(&:in_the_way?), drawing: drawing(plan))
      end

      def drawing(plan)
        shown = plan.people.find(&:fitted?) || plan.sample
        return '' unless shown.fitted?

        Formats::PieceSvg.new(shown.piece.layout, title: plan.design.name, span_mm: span, ruler: false, labels: false).to_s
      end

      # One scale for every piece on the page.
      def span
        @span ||= begin
          plans = stored.map { |klass| @studio.plan(klass) }
          lengths = plans.map { |plan| plan.people.find(&:fitted?) || plan.sample }.select(&:fitted?).map { |p| p.piece.on_line.to_mm }
          ((lengths.max || 200) / 20).ceil * 20.0
        end
      end
    end
  end
end
