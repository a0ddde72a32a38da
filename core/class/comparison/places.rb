# frozen_string_literal: true

module Core
  module Comparison
    # How many people a class takes: what each further person does to the tools and to the chance that everyone finishes.
    class Places
      RUNS = 200
      # People beyond those who asked are taken for beginners of a usual size.
      MORE_LEVEL = 1

      # @param people how many
      # @param missing tools that are short
      # @param chance that all finish, nil where the class cannot be simulated
      Row = Value.define(:people, :missing, :chance) do
        # @param target [Integer] of 100
        def enough?(target)
          missing.zero? && !chance.nil? && chance * 100 >= target
        end
      end

      # @param inputs [Planning::Inputs] @param waiting [Array<People::Attendee>] those who asked, in their order
      # @param runs [Integer] of each simulation
      def initialize(inputs, waiting, runs: RUNS)
        @inputs = inputs
        @waiting = waiting
        @runs = runs
      end

      # @param most [Integer] people @return [Array<Row>] from those in the class to the most
      def rows(most)
        here = @inputs.attendees.size
        (here..[most, here].max).map { |number| row([*@inputs.attendees, *further(number - here)]) }
      end

      # @param rows [Array<Row>] @param target [Integer] of 100 @return [Integer, nil] the most people with all tools and the chance
      #   that is asked for; nil where even the fewest have not
      def self.limit(rows, target)
        rows.take_while { |row| row.enough?(target) }.last&.people
      end

      private

      def further(number)
        @waiting.first(number) + (@waiting.size...number).map { |i|
          People::Attendee.new(key: "place-#{i}", name: '', level: MORE_LEVEL, measures: Sizing::SizeSearch.usual_measures)
        }
      end

      def row(attendees)
        plan = @inputs.with(attendees: attendees).plan
        forecast = Session::Forecast.for(plan, @inputs.calibration, runs: @runs)
        Row.new(people: attendees.size, missing: plan.tools.count { |need| need.missing.positive? },
          chance: forecast.is_a?(Session::Forecast) ? forecast.chance : nil)
      end
    end
  end
end
