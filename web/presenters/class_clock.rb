# frozen_string_literal: true

module Web
  module Presenters
    # The session of one class as its page shows it: the forecast as far as it has come, its ribbon, and what would help.
    class ClassClock
      # One person's row of the table. waits: minutes in the typical run, by kind
      Row = Core::Value.define(:name, :level, :work, :watching, :waits, :middle, :late, :chance)
      KINDS = %i[welcome work demonstration wait_tool wait_help wait_group helped extra clearing].freeze

      # @param state [Refining::State] @param search [Jobs::Job, nil] for levers
      def initialize(plan, calibration, state, search, seat)
        @plan = plan
        @calibration = calibration
        @state = state
        @search = search
        @seat = seat
      end

      attr_reader :state, :search

      # @return [Core::Session::Forecast, nil]
      def forecast
        found = state.found
        found if found.is_a?(Core::Session::Forecast)
      end

      # @return [Integer] hundredths of the runs that are done
      def percent
        Forecasting.percent(state.found)
      end

      def impossible
        found = state.found
        Formats::Wording.say("impossible.#{found.code}", **found.values) if found.is_a?(Core::Session::Impossible)
      end

      def choices
        @plan.workshop.session
      end

      def ribbon(keys = nil)
        people = @plan.people.select { |person| person.fitted? && (keys.nil? || keys.include?(person.attendee.key)) }
        rows = people.map { |person| Formats::RibbonSvg::Row.new(name: person.attendee.name, segments: segments(person.attendee.key), chosen: person.attendee.key == @seat, range: range(person.attendee.key)) }
        return if rows.empty?

        Formats::RibbonSvg.new(rows, start: @plan.workshop.start, available: @plan.workshop.minutes, title: 'When each person works, watches, waits and clears up').to_s
      end

      def queue
        Formats::QueueSvg.new(forecast.queues, start: @plan.workshop.start, span: [@plan.workshop.minutes, forecast.end_at(0.9)].max * 1.04, title: 'How many people wait for tools and for help, on average').to_s
      end

      def kinds
        forecast ? KINDS : %i[welcome work demonstration clearing]
      end

      def sample(kind)
        Formats::RibbonSvg.sample(kind)
      end

      def rows
        @plan.people.select(&:fitted?).map { |person| row(person) }
      end

      def clock(minute)
        @plan.workshop.start + minute
      end

      def hundredths(share)
        (share * 100).round
      end

      # @return [Integer] two standard errors, in hundredths: give or take
      def margin(error)
        hundredths(2 * error)
      end

      # @return [String] who is most often the last, how often, and what their time goes into
      def last
        key = forecast.most_often_last
        [@plan.person(key).attendee.name, hundredths(forecast.last.fetch(key))]
      end

      # @return [Array<(String, Integer)>] what the last one's minutes go into, most first
      def why
        forecast.why.map { |kind, minutes| [Formats::Wording.say("kinds_of_time.#{kind}"), minutes.round] }.select { |_, minutes| minutes.positive? }.sort_by { |_, minutes| -minutes }
      end

      # @return [Array<(String, Integer, Integer)>] scarce tools by load: name, how many, hundredths of the time in use
      def tool_loads
        forecast.tool_loads.map { |key, load| [@plan.table.tool(key).name, forecast.tools.fetch(key), hundredths(load)] }.sort_by { |_, _, load| -load }
      end

      def run_sheet
        forecast ? Core::Session::RunSheet.new(@plan, forecast, @calibration).lines : []
      end

      # --- levers

      # @return [Core::Session::LeverSearch::Found, Core::Session::Impossible, nil]
      def found
        search&.done? ? search.result : nil
      end

      def lever(lever)
        values = lever.values
        levels = values[:level] == 5 ? 'all' : "levels to #{values[:level]}"
        Formats::Wording.say("levers.#{lever.code}", count: values.fetch(:count, 1), levels: levels, name: values[:name].to_s.downcase, to: values[:to].to_s, minutes: values.fetch(:minutes, 0),
                                                     step: values[:work] ? Formats::Wording.step(values[:work]) : '', mode: values[:mode] ? Formats::Wording.say("demonstrations.#{values[:mode]}") : '')
      end

      def levers(tried)
        tried.levers.map { |lever| lever(lever) }.join(' + ')
      end

      private

      def segments(key)
        forecast ? forecast.typical.rows.fetch(key) : @plan.timetable.rows.fetch(key)
      end

      def range(key)
        forecast && [forecast.finish_at(key, 0.1), forecast.finish_at(key, 0.9)]
      end

      def row(person)
        key = person.attendee.key
        sums = segments(key).group_by(&:kind).transform_values { |same| same.sum(&:minutes) }
        Row.new(name: person.attendee.name, level: person.attendee.level, work: sums.fetch(:work, 0.0), watching: sums.fetch(:demonstration, 0.0),
                waits: %i[wait_tool wait_help wait_group].map { |kind| sums.fetch(kind, 0.0) }, middle: clock(forecast ? forecast.finish_at(key, 0.5) : segments(key).last.to),
                late: forecast && clock(forecast.finish_at(key, 0.9)), chance: forecast && hundredths(forecast.chance_of(key)))
      end
    end
  end
end
