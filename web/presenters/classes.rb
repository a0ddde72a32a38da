# frozen_string_literal: true

module Web
  module Presenters
    # The coming classes, each with its piece, what is in the way and one next thing; and those that were held.
    class Classes
      # One class. html: its row, nil while its plan is still to be worked out · awaited: whether its forecast is
      Row = Core::Value.define(:stored, :html, :awaited)
      # Held classes shown at first.
      HELD = 10
      REMOVED = 5
      # Time spent on plans and rows before the rest is left to the next look.
      SECONDS = 1.0

      # @param results [Application::Results] @param studio [Store::Studio] @param fragments [Fragments]
      # @yieldparam row [ClassRow] @yieldreturn [String] its HTML
      def initialize(results, studio, fragments, unit, &render)
        @results = results
        @studio = studio
        @fragments = fragments
        @moment = results.now
        @view = { unit: unit, seat: nil }
        @render = render
        @till = Process.clock_gettime(Process::CLOCK_MONOTONIC) + SECONDS
      end

      # The stock is shared out among all classes, so nothing can be said of one before all are planned.
      # @return [Array<Row>]
      def rows
        @rows ||= begin
          coming = @moment.coming
          all_planned?(coming) ? coming.map { |stored| row(stored) } : coming.map { |stored| later(stored) }
        end
      end

      # @return [Boolean] whether something is still to be worked out
      def pending?
        rows.any? { |row| row.html.nil? || row.awaited }
      end

      # @return [Array<Store::Classes::Stored>] that are over, the newest first
      def held
        @held ||= @studio.classes.held(@moment.today, limit: HELD)
      end

      # @return [Integer]
      def held_count
        @held_count ||= @studio.classes.held_count(@moment.today)
      end

      def removed
        @removed ||= @studio.classes.removed(limit: REMOVED)
      end

      def any?
        rows.any? || held.any?
      end

      # Asks for the forecasts that are not known, the next class first, for when nobody waits for others.
      # @param forecasts [Application::Forecasts]
      def ask_forecasts(forecasts)
        rows.select(&:awaited).each { |row| forecasts.ask(row.stored.id, @results.of(row.stored.id, @moment).model, urgent: false) }
      end

      private

      def all_planned?(coming)
        coming.all? { |stored| @moment.planned?(stored) || (!late? && @moment.outcome(stored)) }
      end

      def row(stored)
        result = @results.of(stored.id, @moment)
        reading = Application::TrackedResult.new(result, @view)
        return @fragments.known([:class_row, stored.id], reading) || later(stored) if late?

        @fragments.kept([:class_row, stored.id], reading) do
          row = ClassRow.new(reading, result.library.design(result.state.project_version_id).name)
          Row.new(stored: stored, html: @render.call(row), awaited: row.awaited?)
        end
      end

      def later(stored)
        Row.new(stored: stored, html: nil, awaited: false)
      end

      def late?
        Process.clock_gettime(Process::CLOCK_MONOTONIC) > @till
      end
    end
  end
end
