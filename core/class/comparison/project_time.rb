# frozen_string_literal: true

module Core
  module Comparison
    # How long a design takes: one maker of each level alone, and groups of a usual mixture.
    class ProjectTime
      # One level alone, in minutes of own work: usual, and the stretch in which eight of ten lie.
      Alone = Value.define(:level, :usual, :early, :late)
      # A group. half, nine: minutes by which half, and nine of ten, such classes have ended, clearing up counted
      Group = Value.define(:people, :half, :nine)

      SIZES = [4, 8, 12].freeze
      # Levels of people in a usual group, in turn (from memory).
      MIXTURE = [1, 2, 3, 1, 2, 4].freeze
      RUNS = 120
      MINUTES = 240

      # @param design [Project::Design] @param table [Catalogue::Table] @param calibration [Calibration] @param on [Date]
      def initialize(design, table, calibration, on)
        @design = design
        @table = table
        @calibration = calibration
        @on = on
      end

      # @return [Array<People::Attendee>] of usual sizes and a usual mixture of levels
      def self.usual_group(size)
        people(Array.new(size) { |i| MIXTURE[i % MIXTURE.size] })
      end

      def self.people(levels)
        measures = Sizing::SizeSearch.usual_measures
        levels.each_with_index.map { |level, i| People::Attendee.new(key: (i + 1).to_s, name: "Person #{i + 1}",
          level: level, measures: measures) }
      end

      # @return [Array<Alone>] empty when a usual size cannot be made
      # Sum of independent steps by the central limit theorem, with the spread between people on top.
      def alone
        mean, deviation = Session::Spread.pert(@calibration.quick, 1.0, @calibration.slow)
        plan(Catalogue::Technique::LEVELS.to_a).people.select(&:fitted?).map do |person|
          usual = person.tasks.sum(&:minutes)
          expected = usual * mean
          within = person.tasks.sum { |task| (task.minutes * deviation)**2 }
          drying = Steps::Sum.drying(person.tasks)
          spread = Session::Spread::EIGHT_OF_TEN * Math.sqrt(within + ((expected * @calibration.between)**2))
          Alone.new(level: person.attendee.level, usual: expected + drying, early: [expected - spread, 0.0].max + drying,
            late: expected + spread + drying)
        end
      end

      # @return [Array<Group>]
      def groups
        SIZES.filter_map do |size|
          forecast = Session::Forecast.for(plan(ProjectTime.usual_group(size).map(&:level)), @calibration, runs: RUNS)
          Group.new(people: size, half: forecast.end_at(0.5), nine: forecast.end_at(0.9)) if forecast.is_a?(Session::Forecast)
        end
      end

      private

      def plan(levels)
        people = ProjectTime.people(levels)
        workshop = Setup::Workshop.new(key: 'time', title: '', date: @on, start: Measure::ClockTime.new(0), minutes: MINUTES,
          tool_sets: people.size)
        Planning::Plan.for(workshop: workshop, design: @design, attendees: people, table: @table, calibration: @calibration)
      end
    end
  end
end
