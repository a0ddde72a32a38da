# frozen_string_literal: true

module Core
  module Live
    # Who needs the instructor, the most pressing first.
    class Attention
      # @param person attendee key
      # @param code why, one of CODES
      # @param minutes at the step, or since they called
      Need = Value.define(:person, :code, :minutes)

      # A minor where it is sharp or hot comes before everyone; then who called; then who cannot go on before someone looked; then who
      # is stuck; then the one whose finish is most at risk.
      CODES = %i[minor hand checkpoint stuck at_risk].freeze
      # A person who finishes more often than not is not at risk.
      RISK = 0.5
      # As in the forecast: beyond this multiple of the usual time someone is stuck (from memory).
      STUCK = Session::Modelling::STUCK
      SHARP = %i[cutting sharp_tails flame needles].freeze

      # @param plan [Plan] @param evening [LiveState] @param now [Numeric] seconds @param welcome [Numeric] minutes before anyone begins
      # @param chances [Hash{String=>Float}] that each finishes, from here
      def initialize(plan, evening, now, welcome: 0, chances: {})
        @chances = chances
        @welcome = welcome
        @plan = plan
        @evening = evening
        @now = now
      end

      # @return [Array<Need>] one a person
      def needs
        return [] unless @evening.running?

        needs = @evening.working.filter_map { |person| need(person) }
        (needs + at_risk(needs.map(&:person))).sort_by { |need| [CODES.index(need.code), -need.minutes] }
      end

      private

      # @return [Array<Need>] at most one
      def at_risk(named)
        others = @evening.working.reject { |person| named.include?(person.key) }
        person = others.min_by { |one| @chances.fetch(one.key, 1.0) }
        return [] if person.nil? || @chances.fetch(person.key, 1.0) >= RISK

        [Need.new(person: person.key, code: :at_risk, minutes: person.minutes(@now))]
      end

      def need(person)
        task = person.task
        minutes = person.minutes(@now)
        if minor_at_risk?(person, task) then Need.new(person: person.key, code: :minor, minutes: minutes)
        elsif person.hand then Need.new(person: person.key, code: :hand, minutes: (@now - person.hand) / 60.0)
        elsif task.step.checkpoint then Need.new(person: person.key, code: :checkpoint, minutes: minutes)
        elsif minutes > before(person, task) + (task.minutes * STUCK) then Need.new(person: person.key, code: :stuck, minutes: minutes)
        end
      end

      # Minutes at a step in which nobody works at it: the welcome at the first, and what is shown.
      def before(person, task)
        (person.place.zero? ? @welcome.to_f : 0.0) + task.demonstration_minutes
      end

      def minor_at_risk?(person, task)
        cautions = task.step.cautions + task.technique.cautions
        @plan.person(person.key).attendee.needs.minor? && cautions.any? { |caution| SHARP.include?(caution) }
      end
    end
  end
end
