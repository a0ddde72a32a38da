# frozen_string_literal: true

module Core
  # Judges a plan: what is still in the way of the class, in the order in which it is best mended.
  class Verdicts
    CODES = %i[people sizes landings fit parts steps tools time].freeze

    # Less spare time than this share of the class is tight (from memory).
    TIGHT_SHARE = 0.08

    # @param plan [Plan] @param supply [Supply::ClassSupply, nil] nil where no stock is known, or nothing more is needed of it
    # @param forecast [Session::Forecast, Session::Impossible, nil] nil where nothing is simulated: then times are judged by the plain sum
    def initialize(plan, supply = nil, forecast = nil)
      @plan = plan
      @supply = supply
      @forecast = forecast
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
      missing = keys { |person| person.piece.is_a?(Sizing::MissingMeasure) }
      unreachable = keys { |person| person.piece.is_a?(Sizing::OutOfReach) }
      status = if unreachable.any? then :will_not
               elsif missing.any? then :unknown
               else :fits
               end
      Verdict.new(code: :sizes, status: status, section: :people, subjects: unreachable + missing,
                  values: { number: (unreachable.any? ? unreachable : missing).size, all: @plan.people.size })
    end

    def landings
      off = keys { |person| person.fitted? && person.piece.status == :tight }
      Verdict.new(code: :landings, status: off.any? ? :tight : :fits, section: :piece, subjects: off,
                  values: { number: off.size, near: Sizing::Piece::NEAR, all: @plan.people.count(&:fitted?) })
    end

    def fit
      findings = @plan.people.flat_map { |person| person.findings.map { |finding| [person.attendee.key, finding] } }
      wrong, unknown, tight = %i[will_not unknown tight].map { |status| findings.select { |_, f| f.status == status } }
      status = if wrong.any? then :will_not
               elsif unknown.any? then :unknown
               else tight.any? ? :tight : :fits
               end
      Verdict.new(code: :fit, status: status, section: :fit, subjects: (wrong + unknown).map(&:first).uniq,
                  values: { number: kinds([wrong, unknown, tight].find(&:any?) || []) })
    end

    def parts
      return if @supply.nil?

      uncut = @supply.uncuttable.size
      return Verdict.new(code: :parts, status: :will_not, section: :cuts, values: { number: uncut }) if uncut.positive?

      Verdict.new(code: :parts, status: @supply.short.zero? ? :fits : :tight, section: :materials, values: { number: @supply.short, total: @supply.order.total.to_s })
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

    # Less than half of what was wished for is in the way; less than all of it is tight.
    def time
      return summed if @forecast.nil?
      return Verdict.new(code: :time, status: :unknown, section: :clock, values: {}) if @forecast.is_a?(Session::Impossible)

      chance = (@forecast.chance * 100).round
      wish = @plan.workshop.session.wish
      status = if chance >= wish then :likely
               else chance * 2 >= wish ? :doubtful : :unlikely
               end
      Verdict.new(code: :time, status: { likely: :fits, doubtful: :tight, unlikely: :will_not }.fetch(status), section: :clock, subjects: [@forecast.most_often_last].compact,
                  values: { words: status, number: chance, wish: wish, by: @plan.workshop.start + @forecast.end_at(0.9), planned: @plan.workshop.ends })
    end

    def summed
      timetable = @plan.timetable
      spare = timetable.spare_minutes
      tight = @plan.workshop.minutes * TIGHT_SHARE
      status = if timetable.rows.empty? then :unknown
               elsif spare.negative? then :will_not
               else spare < tight ? :tight : :fits
               end
      Verdict.new(code: :time, status: status, section: :clock, subjects: [timetable.last_attendee].compact,
                  values: { spare: spare, ends: @plan.workshop.start + timetable.needed_minutes, planned: @plan.workshop.ends })
    end

    def keys(&block)
      @plan.people.select(&block).map { |person| person.attendee.key }
    end
  end
end
