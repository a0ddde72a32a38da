# frozen_string_literal: true

module Web
  module Presenters
    # The coming classes, each with its piece, what is in the way and one next thing; and those that were held.
    class Classes
      include Printing

      # One class. drawing: SVG of its piece at the first person's size or a usual one · problem: why it cannot be built, nil where it can
      Row = Core::Value.define(:id, :title, :date, :time, :about, :verdicts, :next_thing, :drawing, :problem) do
        # @return [Array<Core::Verdict>] what is to be done or still worked out, worst first
        def open
          (verdicts - fine).sort_by.with_index { |verdict, index| [Sections::Strip::ORDER.index(verdict.status), index] }
        end

        # @return [Array<Core::Verdict>]
        def fine
          verdicts.select { |verdict| verdict.status == :fits }
        end
      end
      # A class whose verdicts are still to come.
      PENDING = [].freeze
      # Held classes shown at first.
      HELD = 10
      # Time spent on working verdicts out before the rest is left to the next look.
      SECONDS = 1.0

      attr_reader :unit

      # @param results [Application::Results] @param studio [Store::Studio]
      def initialize(results, studio, unit)
        @results = results
        @studio = studio
        @moment = results.now
        @unit = unit
        @till = Process.clock_gettime(Process::CLOCK_MONOTONIC) + SECONDS
      end

      # @return [Array<Row>]
      def rows
        @rows ||= @moment.coming.map { |stored| row(stored) }
      end

      # @return [Boolean] whether something is still to be worked out
      def pending?
        rows.any? { |row| row.verdicts.equal?(PENDING) || row.verdicts.any? { |verdict| verdict.status == :awaited } }
      end

      # @return [Array<Store::Classes::Stored>] that are over, the newest first
      def held
        @held ||= @studio.classes.held(@moment.today).first(HELD)
      end

      def removed
        @removed ||= @studio.classes.removed.first(5)
      end

      def any?
        rows.any? || held.any?
      end

      # Asks for the forecasts that are not known, the next class first, for when nobody waits for others.
      # @param forecasts [Application::Forecasts]
      def ask_forecasts(forecasts)
        rows.each do |row|
          next unless row.verdicts.any? { |verdict| verdict.status == :awaited }

          forecasts.ask(row.id, @results.of(row.id, @moment).model, urgent: false)
        end
      end

      private

      def row(stored)
        workshop = stored.state.workshop
        base = { id: stored.id, title: workshop.title, date: workshop.date, time: "#{workshop.start}\u2013#{workshop.ends}" }
        Process.clock_gettime(Process::CLOCK_MONOTONIC) > @till && !@results.known?(stored.id,
          @moment) ? pending(base, stored) : worked_out(base, stored)
      end

      def pending(base, stored)
        Row.new(**base, about: people_words(stored), verdicts: PENDING, next_thing: nil, drawing: '', problem: nil)
      end

      def worked_out(base, stored)
        result = @results.of(stored.id, @moment)
        about = [@moment.library.design(stored.state.project_version_id).name,
                 people_words(stored),
                 (stored.state.workshop.venue unless stored.state.workshop.venue.empty?)].compact.join(' · ')
        return Row.new(**base, about: about, verdicts: [], next_thing: nil, drawing: '',
          problem: say("problem.#{result.problem.code}", detail: result.problem.detail)) if result.plan.nil?

        verdicts = result.verdicts
        Row.new(**base, about: about, verdicts: verdicts, next_thing: verdicts.find(&:in_the_way?), drawing: drawing(result.plan),
          problem: nil)
      end

      def people_words(stored)
        count_of(stored.state.attendees.size, 'person', 'people')
      end

      def drawing(plan)
        shown = plan.people.find(&:fitted?) || plan.sample
        return '' unless shown.fitted?

        Formats::PieceSvg.new(shown.piece.layout, title: plan.design.name, span_mm: Sections::Drawn.ruler(shown.piece.on_line.to_mm),
          ruler: false, labels: false).to_s
      end
    end
  end
end
