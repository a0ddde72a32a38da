# frozen_string_literal: true

module Core
  module Planning
    # The plan of a class: a pure function of the class, its design, its people, the catalogue and the calibration.
    #
    # @param people [PersonPlan]
    # @param extras [PersonPlan], kits for late sign-ups
    # @param needs [Materials::Need], exactly the sum over kits
    # @param spares {part => Materials::Spares}
    # @param order Steps::StepOrder, of the common steps
    # @param steps [PlannedStep]
    # @param own_steps [(Making::StepUse, [People::Attendee])] steps of those who work the piece another way, beyond the common ones
    # @param tools [Steps::ToolNeed]
    # @param timetable Steps::Timetable
    # @param usual Lazy of the PersonPlan at a usual size, for a class without sized people
    Plan = Value.define(:workshop, :design, :people, :usual, :needs, :spares, :steps, :tools, :timetable, extras: [].freeze, order: nil,
      own_steps: [].freeze, table: nil) do
      # @return [PersonPlan] what someone of a usual size makes
      def sample
        usual.value
      end

      # @return [Catalogue::Technique] of a step
      def technique_of(step)
        table.technique(step.technique)
      end

      # @return [Array<Making::StepUse>] the common steps, then those that only some work
      def all_steps
        own_steps.empty? ? order.steps : order.steps + own_steps.map(&:first)
      end

      # @return [Array<Catalogue::Technique>] that anyone works
      def techniques
        all_steps.map { |step| technique_of(step) }.uniq
      end

      # @return [Planning::OwnWays]
      def own_ways
        OwnWays.new(workshop.teaching.ways, design, table)
      end

      # @return [Steps::Readiness] who lacks what
      def readiness
        spared = people.to_h { |person| [person.attendee, person.spared.map { |step, _| step.key }] }
        worked = own_steps.empty? ? {} : people.select(&:fitted?).to_h { |one| [one.attendee, one.piece.steps.map(&:technique).uniq] }
        Steps::Readiness.new(people.map(&:attendee), all_steps, table, workshop.date, spared: spared, worked: worked)
      end

      # @return [Planning::Seating::SeatingChart]
      def room
        Seating.new(people.map(&:attendee), tools).plan
      end

      # @return [Measure::Length, nil] at which those are planned who were not measured; nil when all were
      def assumed_size
        people.find(&:assumed)&.measure
      end

      def person(key)
        people.find { |person| person.attendee.key == key }
      end

      # @param part [Catalogue::Part] @return [Integer] spares of it, as this class holds them back
      def held_back(part)
        spares[part].held(workshop.supply.spares)
      end

      # @return [Array<PersonPlan>] everyone's kit, those for late sign-ups too
      def kits
        people + extras
      end

      # @return [Array<Cutting::WantedCut>] every cut of one line in the class
      def pieces(line)
        kits.flat_map do |person|
          person.cuts.select { |cut| cut.line == line }
            .flat_map { |cut| [Cutting::WantedCut.new(owner: person.attendee.name, length: cut.length)] * cut.count }
        end
      end

      # @param line [Catalogue::Line]
      # @return [Cutting::CutPlan] every cut of the class from as few new reels as can be, with nothing on hand
      def reels(line)
        Cutting::Reels.plan(pieces(line), [line.reel_length].compact)
      end

      # @return [Hash{Catalogue::Line=>Measure::Length}]
      def line_totals
        kits.flat_map(&:cuts).group_by(&:line).transform_values { |cuts| Measure::Length.sum(cuts.map(&:total)) }
      end
    end

    class Plan
      # @param workshop [Workshop] @param design [Project::Design] @param attendees [Array<People::Attendee>]
      # @param table [Catalogue::Table] @param calibration [Setup::Calibration]
      # @return [Plan]
      # @raise [Making::InvalidParameters, UnknownKey] for a design the catalogue cannot build
      def self.for(workshop:, design:, attendees:, table:, calibration: Setup::Calibration.new, open_rings: :warn)
        Planner.new(workshop, design, attendees, table, calibration, open_rings).plan
      end
    end
  end
end
