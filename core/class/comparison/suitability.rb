# frozen_string_literal: true

module Core
  module Comparison
    # How well one project suits a group on a date: what an instructor weighs before choosing it.
    #
    # @param key of the project
    # @param name see key
    # @param level of its hardest technique
    # @param techniques [name]
    # @param chance that everyone finishes in time, nil where it cannot be simulated
    # @param late_end minute by which nine of ten classes have ended
    # @param target chance wanted
    # @param problem why it cannot be built, or nil
    # @param unfitted [name] for whom no size comes out
    # @param harmed {name => [finding code]} of allergies and the like
    # @param unsure the same, of what is not known
    # @param wrong joins that will not go together
    # @param unmeasured how many are planned at an assumed size
    # @param lacking {name => [technique]}
    # @param new_to_most [technique]
    # @param short things to buy
    # @param seat Money or nil
    Suitability = Value.define(:key, :name, :body, :level, :techniques, :target, problem: nil, chance: nil, late_end: nil,
      unfitted: [].freeze,
      harmed: {}.freeze, unsure: {}.freeze, wrong: 0, unmeasured: 0, lacking: {}.freeze, new_to_most: [].freeze, short: 0, seat: nil) do
      # @return [Symbol] the first reason against it, or :good
      def reason
        return :cannot_be_built if problem
        return :no_size if unfitted.any?
        return :harms if harmed.any?
        return :does_not_go_together if wrong.positive?

        return :too_long if likely == :unlikely
        return :heavy if new_to_most.size > Steps::Readiness::MOST_NEW
        return :tight if likely == :doubtful

        unsure.any? ? :unsure : :good
      end

      # @return [Symbol] whether everyone finishes, see Session::Likelihood
      def likely
        chance ? Session::Likelihood.of(chance, target) : :unlikely
      end

      # @return [Symbol] :fits, :tight or :will_not
      def status
        { good: :fits, unsure: :tight, tight: :tight, heavy: :tight }.fetch(reason, :will_not)
      end

      # @return [Array] to sort by: what can be taught first, then by chance in steps of five, by what people lack, by what is to be
      # bought, by price
      def rank
        [%i[fits tight will_not].index(status), -(chance.to_f * 20).round, lacking.size, short, seat&.minor || Float::INFINITY, name]
      end
    end

    class Suitability
      # Enough to tell a class that will do from one that will not: one run in 200 is half of a hundredth.
      RUNS = 200

      # @param inputs [Inputs] of the class @param design [Design] @param market [Supply::Market]
      # @param stock [Supply::Stock] free for this class
      # @return [Suitability]
      def self.of(inputs, design, market, stock)
        new_for(inputs, design, market, stock)
      rescue Making::InvalidParameters, UnknownKey => e
        plain(design, inputs).with(problem: e.message)
      end

      def self.new_for(inputs, design, market, stock)
        asked = inputs.with(design: design, attendees: inputs.attendees.map { |one| in_colours_of(one, design) },
          workshop: planned_now?(inputs, design) ? inputs.workshop : unordered(inputs.workshop))
        plan = asked.plan
        supply = Supply::Allocation.new(stock, market).call({ design.key => Supply::StockDemand.of(plan) })[design.key]
        forecast = Session::Forecast.for(plan, inputs.calibration, runs: RUNS)
        bill = Price::Seat.of(plan, supply, market)
        found = plain(design, inputs).with(**people(plan), **work(plan), short: supply.short, seat: bill.unpriced.empty? ? bill.price : nil)
        forecast.is_a?(Session::Forecast) ? found.with(chance: forecast.chance, late_end: forecast.end_at(0.9)) : found
      end

      def self.plain(design, inputs)
        new(key: design.key, name: design.name, body: design.body, level: 0, techniques: [],
          target: inputs.workshop.session.target)
      end

      def self.planned_now?(inputs, design)
        inputs.design.key == design.key && inputs.design.version == design.version
      end

      # Choices made for the project that is planned now do not hold for another.
      def self.unordered(workshop)
        workshop.with(teaching: workshop.teaching.with(order: [], prepared: {}))
      end

      def self.in_colours_of(attendee, design)
        design.colourways.key?(attendee.colourway) ? attendee : attendee.with(colourway: nil)
      end

      def self.people(plan)
        personal = ->(status) {
          plan.people.to_h { |one|
            [one.attendee.name, one.findings.select { |finding| finding.personal? && finding.status == status }.map(&:code)]
          }.reject { |_, codes| codes.empty? }
        }
        {
          unfitted: plan.people.reject(&:fitted?).map { |one| one.attendee.name }, unmeasured: plan.people.count(&:assumed),
          harmed: personal.(:will_not), unsure: personal.(:unknown),
          wrong: wrong_joins(plan)
        }
      end

      # Joins that will not go together, for any person.
      def self.wrong_joins(plan)
        joins = plan.people.flat_map(&:findings).select { |found| found.status == :will_not && !found.personal? }
        joins.map(&:key).uniq.size
      end

      def self.work(plan)
        techniques = plan.techniques
        {
          level: techniques.map(&:level).max.to_i, techniques: techniques.map(&:name),
          lacking: plan.readiness.people.to_h { |one| [one.attendee.name, one.lacking.map { |lack| lack.technique.name }] },
          new_to_most: plan.readiness.new_to_most.map(&:name)
        }
      end
      private_class_method :new_for, :plain, :planned_now?, :unordered, :in_colours_of, :people, :work
    end
  end
end
