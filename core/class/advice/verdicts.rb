# frozen_string_literal: true

module Core
  module Advice
    # Judges a plan: what is still in the way of the class, in the order in which it is best mended.
    class Verdicts
      CODES = %i[people sizes finished fit needs watch parts steps tools time].freeze

      # @param plan [Plan] @param supply [Supply::ClassSupply, nil] nil where no stock is known, or nothing more is needed of it
      # @param outlook [Session::ForecastSummary, Session::Impossible, nil] nil while nothing is known of the session: the plain sum is no
      # promise
      def initialize(plan, supply = nil, outlook = nil)
        @plan = plan
        @supply = supply
        @outlook = outlook
      end

      # @return [Array<Verdict>]
      def call
        @plan.people.empty? ? [people] : CODES.filter_map { |code| send(code) }
      end

      private

      def people
        count = @plan.people.size
        Verdict.new(code: :people, status: count.zero? ? :unknown : :fits, section: :people, values: { number: count })
      end

      def sizes
        missing = keys(&:assumed)
        unreachable = keys { |person| !person.fitted? }
        status = if unreachable.any? then :will_not
                 elsif missing.any? then :unknown
                 else :fits
                 end
        Verdict.new(code: :sizes, status: status, section: :people, subjects: unreachable + missing,
          values: { number: (unreachable.any? ? unreachable : missing).size, all: @plan.people.size,
          assumed: @plan.assumed_size || Measure::Length::ZERO })
      end

      def finished
        off = keys { |person| person.fitted? && person.piece.status == :tight }
        Verdict.new(code: :finished, status: off.any? ? :tight : :fits, section: :piece, subjects: off,
          values: { number: off.size, near: Sizing::Piece::NEAR, all: @plan.people.count(&:fitted?) })
      end

      def fit
        worst, found = worst_of { |finding| !finding.personal? }
        wrong = keys { |person| person.findings.any? { |finding| finding.wrong? && !finding.personal? } }
        Verdict.new(code: :fit, status: worst, section: :fit, subjects: wrong, values: { number: kinds(found) })
      end

      # Allergies and other needs: of so many people, not of so many joins.
      def needs
        worst, found = worst_of(&:personal?)
        concerned = found.map(&:first).uniq
        Verdict.new(code: :needs, status: worst, section: :fit, subjects: concerned, values: { number: concerned.size }) if found.any?
      end

      # @return [(Symbol, Array<(String, Fit::Result)>)] the worst status that is found, and what has it, with whose it is
      def worst_of(&chosen)
        findings = @plan.people.flat_map { |person| person.findings.select(&chosen).map { |finding| [person.attendee.key, finding] } }
        worst = %i[will_not unknown tight].find { |status| findings.any? { |_, finding| finding.status == status } } || :fits
        [worst, worst == :fits ? [] : findings.select { |_, finding| finding.status == worst }]
      end

      def watch
        watched = keys { |person| person.findings.any? { |finding| finding.status == :watch } }
        Verdict.new(code: :watch, status: :tight, section: :people, subjects: watched, values: { number: watched.size }) if watched.any?
      end

      def parts
        return if @supply.nil?

        uncut = @supply.uncuttable.size
        return Verdict.new(code: :parts, status: :will_not, section: :cuts, values: { number: uncut }) if uncut.positive?

        Verdict.new(code: :parts, status: @supply.short.zero? ? :fits : :tight, section: :materials,
          values: { number: @supply.short, total: @supply.order.total.to_s })
      end

      def steps
        readiness = @plan.readiness
        broken = @plan.order.broken.size
        unreached = readiness.out_of_reach
        status, number = if broken.positive? then [:will_not, broken]
                         elsif unreached.any? then [:unknown, unreached.size]
                         else readiness.heavy? ? [:tight, readiness.new_to_most.size] : [:fits, 0]
                         end
        Verdict.new(code: :steps, status: status, section: :steps, values: { number: number })
      end

      # @return [Integer] different findings, however many people they concern
      def kinds(findings)
        findings.map { |_, finding| finding.key }.uniq.size
      end

      def tools
        short = @plan.tools.select { |need| need.missing.positive? }
        Verdict.new(code: :tools, status: short.any? ? :will_not : :fits, section: :tools, subjects: short.map { |need| need.tool.key },
          values: { number: short.sum(&:missing), kinds: short.size })
      end

      def time
        return awaited if @outlook.nil?
        return Verdict.new(code: :time, status: :unknown, section: :clock, values: {}) if @outlook.is_a?(Session::Impossible)

        chance = (@outlook.chance * 100).round
        target = @plan.workshop.session.target
        words = Session::Likelihood.of(@outlook.chance, target)
        Verdict.new(code: :time, status: Session::Likelihood::STATUSES.fetch(words), section: :clock,
          subjects: [@outlook.last].compact,
          values: { words: words, number: chance, target: target, by: @plan.workshop.start + @outlook.late_end,
          planned: @plan.workshop.ends })
      end

      def awaited
        Verdict.new(code: :time, status: :awaited, section: :clock)
      end

      def keys(&block)
        @plan.people.select(&block).map { |person| person.attendee.key }
      end
    end
  end
end
