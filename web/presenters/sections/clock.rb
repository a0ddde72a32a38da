# frozen_string_literal: true

module Web
  module Presenters
    module Sections
      # Will everyone finish? The forecast as far as it has come, and what would help.
      class Clock < Section
        # One person's row of the table. waits: minutes in the typical run, for a tool, for help, for the group
        Row = Core::Value.define(:name, :level, :work, :watching, :waits, :middle, :late, :chance)
        WAITS = %i[wait_tool wait_help wait_group].freeze

        def state
          @reading.forecasting
        end

        def search
          @reading.search
        end

        # @return [Core::Session::Forecast, nil]
        def forecast
          @reading.forecast
        end

        # @return [Core::Advice::Verdict, nil]
        def verdict
          @reading.verdicts.find { |one| one.code == :time }
        end

        # @return [String, nil] why it cannot be simulated
        def impossible
          found = state.found
          say("impossible.#{found.code}", **found.values) if found.is_a?(Core::Session::Impossible)
        end

        def choices
          workshop.session
        end

        def welcome
          minutes(@reading.calibration.welcome_minutes)
        end

        def ribbon
          Ribbon.new(@reading, unit).drawing
        end

        def queue
          Formats::QueueSvg.new(forecast.queues, start: workshop.start, span: [workshop.minutes, forecast.end_at(0.9)].max * 1.04,
            title: 'How many people wait for tools and for help, on average').to_s
        end

        def kinds
          Formats::RibbonSvg::KINDS
        end

        # @return [Array<String>] the longest wait of several for one: who, for whom, why, and what to try; empty where nobody waits long
        def long_wait
          found = forecast.long_wait or return []
          LongWaitWords.new(found, plan, forecast).sentences
        end

        def sample(kind)
          Formats::RibbonSvg.sample(kind)
        end

        def rows
          fitted.map { |person| row(person) }
        end

        def clock(minute)
          workshop.start + minute
        end

        # @return [Integer] two standard errors, in hundredths: give or take
        def margin(error)
          hundredths(2 * error)
        end

        # @return [Array(String, Integer)] who is most often the last, in how many of 100 classes
        def last
          key = forecast.most_often_last
          [plan.person(key).attendee.name, hundredths(forecast.last.fetch(key))]
        end

        # @param most [Integer, nil] kinds of time that are told, nil for all
        # @return [String] what the last one's minutes go into, most first
        def why(most = nil)
          kinds = forecast.why.transform_values(&:round).select { |_, minutes| minutes.positive? }.sort_by { |_, minutes| -minutes }
          kinds.first(most || kinds.size).map { |kind, minutes| "#{say("kinds_of_time.#{kind}")} #{minutes} min" }.join(', ')
        end

        # @return [Array<(String, Integer, Integer)>] scarce tools by load: name, how many, hundredths of the time in use
        def tool_loads
          forecast.tool_loads.map { |key, load|
            [plan.table.tool(key).name, forecast.tools.fetch(key), hundredths(load)]
          }.sort_by { |_, _, load| -load }
        end

        def borrowed
          choices.more_tools.map { |key, number| "#{number} × #{plan.table.tools[key]&.name || key}" }.join(', ')
        end

        # --- what would help

        # @return [Core::Levers::LeverSearch::Found, nil]
        def found
          search.found if search.found.is_a?(Core::Levers::LeverSearch::Found)
        end

        def lever_words(lever)
          values = lever.values
          say("levers.#{lever.code}", count: values.fetch(:count, 1), levels: Section.up_to(none: 'nobody')[values[:level]].to_s,
            name: values[:name].to_s.downcase, to: values[:to].to_s, from: values[:from].to_s.downcase,
            worked: values[:worked].to_s.downcase,
            minutes: values.fetch(:minutes, 0), step: values[:work] ? bare_words(values[:work]) : values.fetch(:works, []).map { |work|
                                                  bare_words(work)
                                                }.join('; '),
            mode: values[:mode] ? say("settings.session.demonstrations_ways.#{values[:mode]}") : '')
        end

        # A step named within a sentence.
        def bare_words(work)
          step_in_short(work).delete_suffix('.')
        end

        def levers_words(trial)
          trial.levers.map { |lever| lever_words(lever) }.join(' + ')
        end

        # @return [String] what a change costs: money, preparing, and what people then do not do
        def price(trial)
          [(money(trial.cost).to_s if trial.cost.positive?),
           ("#{minutes_text(trial.preparation)} of your time before class" if trial.preparation.positive?),
           ("#{minutes_text(trial.missed)} of work that #{count_of(trial.people, 'person does',
             'people do')} not do" if trial.missed.positive?)].compact.then { |all|
            all.empty? ? 'nothing' : all.join(', ')
          }
        end

        # @return [Integer] hundredths: the forecast's own chance and what is gained on top
        def chance_with(trial)
          hundredths(trial.chance_given(found.base.chance))
        end

        def money(minor)
          @reading.market.money(minor.round)
        end

        # --- settings

        # @return [Array<Settings::Row>]
        def settings
          Settings.new(Core::Setup::SessionSettings, :session, choices, draft: draft(:session), currency: @reading.market.currency,
            tires_after: format('%g', @reading.calibration.tires_after)).rows
        end

        private

        def row(person)
          key = person.attendee.key
          sums = forecast.typical.rows.fetch(key).group_by(&:kind).transform_values { |same| same.sum(&:minutes) }
          Row.new(name: person.attendee.name, level: person.attendee.level, work: sums.fetch(:work, 0.0),
            watching: sums.fetch(:demonstration, 0.0),
            waits: WAITS.map { |kind|
              sums.fetch(kind, 0.0)
            }, middle: clock(forecast.finish_at(key, 0.5)), late: clock(forecast.finish_at(key, 0.9)),
            chance: hundredths(forecast.chance_of(key)))
        end
      end
    end
  end
end
