# frozen_string_literal: true

module Core
  # The plan of a class: a pure function of the class, its design, its people, the catalogue and the calibration.
  #
  # people: [PersonPlan] · needs: [Bill::Need], exactly the sum over people · spares: {part => Bill::Spares} · cuts: [(attendee key, Cutting::CutNeed)]
  # steps: [PlannedStep] · tools: [Technique::ToolNeed] · forecast: Session::Forecast
  # sample: PersonPlan at a usual size, for a class without sized people
  Plan = Value.define(:workshop, :design, :people, :sample, :needs, :spares, :steps, :tools, :forecast) do
    def verdicts
      Verdicts.new(self).call
    end

    # @return [Array<Verdict>] what stands between the class and its evening, first thing first
    def in_the_way
      verdicts.select(&:in_the_way?)
    end

    def person(key)
      people.find { |person| person.attendee.key == key }
    end

    # @param line [Catalogue::Line] one whose reel's length is known
    # @return [Cutting::ReelPlan] every cut of the class from as few reels as can be
    def reels(line)
      pieces = people.flat_map { |person| person.cuts.select { |cut| cut.line == line }.flat_map { |cut| [Cutting::Piece.new(owner: person.attendee.name, length: cut.length)] * cut.count } }
      Cutting::Reels.plan(pieces, line.reel_length)
    end

    # @return [Hash{Catalogue::Line=>Measure::Length}]
    def line_totals
      people.flat_map(&:cuts).group_by(&:line).transform_values { |cuts| Measure::Length.sum(cuts.map(&:total)) }
    end
  end

  class Plan
    # @param workshop [Workshop] @param design [Project::Design] @param attendees [Array<People::Attendee>]
    # @param table [Catalogue::Table] @param calibration [Session::Calibration]
    # @return [Plan]
    # @raise [Construction::InvalidParameters, UnknownKey] for a design the catalogue cannot build
    def self.for(workshop:, design:, attendees:, table:, calibration: Session::Calibration.new, open_rings: :warn)
      Planner.new(workshop, design, attendees, table, calibration, open_rings).plan
    end
  end
end
