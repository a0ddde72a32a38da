# frozen_string_literal: true

module Web
  module Presenters
    # One class in the list: its piece, what is in the way, and one next thing.
    class ClassRow
      include Printing

      # @param reading [Application::TrackedResult] @param design_name [String] of its project
      def initialize(reading, design_name)
        @reading = reading
        @design_name = design_name
      end

      def id
        @reading.id
      end

      def unit
        @reading.unit
      end

      def title
        workshop.title
      end

      def date
        workshop.date
      end

      def time
        "#{workshop.start}\u2013#{workshop.ends}"
      end

      def about
        [@design_name, count_of(state.attendees.size, 'person', 'people'), workshop.venue].reject(&:empty?).join(' · ')
      end

      # @return [String, nil] why it cannot be built
      def problem
        found = @reading.problem
        say("problem.#{found.code}", detail: found.detail) if found
      end

      # @return [Array<Core::Advice::Verdict>] what is to be done or still worked out, worst first
      def open
        (@reading.verdicts - fine).sort_by.with_index { |verdict, index| [Sections::Strip::ORDER.index(verdict.status), index] }
      end

      # @return [String] what is well, in a few words
      def fine_words
        fine.map { |verdict| short_words(verdict) }.join(' · ')
      end

      # @return [Core::Advice::Verdict, nil]
      def next_thing
        @reading.verdicts.find(&:in_the_way?)
      end

      def next_address
        ClassPage.address_of(id, next_thing)
      end

      # @return [Boolean] whether its forecast is still to come
      def awaited?
        @reading.verdicts.any? { |verdict| verdict.status == :awaited }
      end

      # @return [String] SVG of its piece at the first person's size or a usual one
      def drawing
        plan = @reading.plan
        shown = plan && (plan.people.find(&:fitted?) || plan.sample)
        return '' unless shown&.fitted?

        span = Sections::Drawn.ruler(shown.piece.laid_flat.to_mm)
        Formats::PieceSvg.new(shown.piece.layout, title: plan.design.name, span_mm: span, ruler: false, labels: false, lit: true).to_s
      end

      private

      def fine
        @reading.verdicts.select { |verdict| verdict.status == :fits }
      end

      def state
        @reading.stored.state
      end

      def workshop
        state.workshop
      end
    end
  end
end
