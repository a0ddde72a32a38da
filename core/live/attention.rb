# frozen_string_literal: true

module Core
  module Live
    # Who needs the instructor, the most pressing first.
    class Attention
      # person: attendee key · code: why, one of CODES · minutes: at the step, or since they called
      Need = Value.define(:person, :code, :minutes)

      # A minor where it is sharp or hot comes before everybody; then who called; then who cannot go on before somebody looked; then who
      # is stuck.
      CODES = %i[minor hand checkpoint stuck].freeze
      # As in the forecast: beyond this multiple of the usual time somebody is stuck (from memory).
      STUCK = Session::Modelling::STUCK
      SHARP = %i[cutting sharp_tails flame needles].freeze

      # @param plan [Plan] @param evening [Evening] @param now [Numeric] seconds @param welcome [Numeric] minutes before anybody begins
      def initialize(plan, evening, now, welcome: 0)
        @welcome = welcome
        @plan = plan
        @evening = evening
        @now = now
      end

      # @return [Array<Need>] one a person
      def needs
        return [] unless @evening.running?

        @evening.working.filter_map { |person| need(person) }.sort_by { |need| [CODES.index(need.code), -need.minutes] }
      end

      private

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
        @plan.person(person.key).attendee.needs.minor? && (task.step.cautions + task.technique.cautions).any? { |caution| SHARP.include?(caution) }
      end
    end
  end
end
