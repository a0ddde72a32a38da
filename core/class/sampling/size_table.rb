# frozen_string_literal: true

module Core
  module Sampling
    # What a project needs at some sizes, made by people of some levels: shown before a sample and with it.
    class SizeTable
      # Sizes that are shown, in millimetres beyond the usual one.
      AROUND = { wrist: [-20, 0, 20, 40], neck: [-40, 0, 40, 80], ankle: [-20, 0, 20, 40], length: [0] }.freeze
      # Whose counts, cuts and weights are shown.
      USUAL_LEVEL = 3

      # One size. repeats: Integer or nil; inside, cut: Measure::Length, cut nil where nothing is cut; grams: Float; minutes: of each level
      Row = Value.define(:repeats, :inside, :cut, :grams, :minutes)

      # @param table [Catalogue::Table] @param component [String] key of the one that was measured
      # @param levels [Array<Integer>] with the usual one among them @param date [Date] of the evening that is supposed
      def initialize(table, component, levels:, date:, calibration: Setup::Calibration.new)
        @table = table
        @component = component
        @levels = levels
        @calibration = calibration
        @evening = Setup::Workshop.new(key: 'sample', title: '', date: date, start: Measure::ClockTime.parse('18:00'), minutes: 120,
          tool_sets: 1)
      end

      # @param design [Project::Design] @return [Array<Measure::Length, nil>] of the body; nil once where the piece has one size
      def self.measures(design)
        return [nil] if design.body == :own

        usual = Sizing::SizeSearch::USUAL_MM.fetch(design.body)
        AROUND.fetch(design.body).map { |more| Measure::Length.mm(usual + more) }
      end

      # @param design [Project::Design] @param measure [Measure::Length, nil]
      # @return [Row, nil] nil where it cannot be made so
      def row(design, measure)
        people = plan(design, measure).people
        return unless people.all?(&:fitted?)

        piece = people[@levels.index(USUAL_LEVEL)].piece
        made = piece.work_ups.fetch(@component)
        Row.new(repeats: made.lengths.repeats, inside: piece.inside, cut: made.cuts.map(&:measured).max,
          grams: piece.known_grams, minutes: people.map(&:working_minutes))
      end

      private

      def plan(design, measure)
        measures = measure ? { design.body => measure } : {}
        people = @levels.map { |level| People::Attendee.new(key: level.to_s, name: '', level: level, measures: measures) }
        Planning::Inputs.new(workshop: @evening, design: design, attendees: people, table: @table, calibration: @calibration).plan
      end
    end
  end
end
