# frozen_string_literal: true

module Web
  module Presenters
    module Sections
      # The longest wait of several for one, in words.
      class LongWaitWords
        # @param found [Core::Session::LongWait] @param plan [Core::Planning::Plan] @param forecast [Core::Session::Forecast]
        def initialize(found, plan, forecast)
          @found = found
          @plan = plan
          @forecast = forecast
        end

        # @return [Array<String>]
        def sentences
          [say('long_wait.who', count: @found.waiting.size, from: clock(@found.from), to: clock(@found.to), name: name, shown: shown),
           say("long_wait.#{@found.cause}", name: name, minutes: @found.minutes.round, until: clock(@found.ended), tools: tools),
           say("long_wait.try_#{@found.cause}", name: name, shown: shown, tools: tools)]
        end

        # @return [(Float, Float, String), nil] what is written over the stretch that they wait for
        def over
          return if @found.cause == :work

          [@found.ended - @found.minutes, @found.ended, say("long_wait.over_#{@found.cause}", tools: tools, until: clock(@found.ended))]
        end

        private

        def say(key, **values)
          Formats::Wording.say(key, **values)
        end

        def name
          @plan.person(@found.whom).attendee.name
        end

        def shown
          task(@found.step).technique.name
        end

        # @return [String] of the scarce tools of the step at which they waited
        def tools
          return '' unless @found.cause == :wait_tool

          keys = task(@found.at).technique.tools.select { |key| @forecast.tools.key?(key) }.uniq
          return say('long_wait.some_tool') if keys.empty?

          keys.map { |key| @plan.table.tool(key).name.downcase }.join(', ')
        end

        def task(label)
          @plan.people.flat_map(&:tasks).find { |one| one.step.key == label }
        end

        def clock(minute)
          (@plan.workshop.start + minute).to_s
        end
      end
    end
  end
end
