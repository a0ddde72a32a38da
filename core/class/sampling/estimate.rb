# frozen_string_literal: true

module Core
  module Sampling
    # What samples of one component show of the assumptions that its design is planned with.
    class Estimate
      # How far each assumption usually is from what is planned with (from memory): the beads of a lot, how tight hands work, what knots and
      # turns take, what beads weigh, how long a project takes against its techniques, and how one maker differs from others of a level.
      BEFORE = { size: 0.025, take: 0.12, weight: 0.08, pace: 0.2, hand: 0.2 }.freeze
      TENSION = 0.06
      # What is measured of a sample, and how it is read.
      READ = { length: ->(sample) { sample.length&.to_mm&.to_f },
               used: ->(sample) { sample.used&.to_mm&.to_f },
               grams: ->(sample) { sample.grams&.to_f },
               minutes: ->(sample) { sample.minutes&.to_f } }.freeze
      # Differences that matter: half a usual ease, an end to hold by, a pinch of beads, a tenth of an evening (from memory).
      MATTERS = { length: 7.0, used: 50.0, grams: 0.5, minutes: 12.0 }.freeze
      # No sample changes what is planned further than this.
      LEAST, MOST = 0.2, 5.0
      # Further off than one reading of fifty would be.
      STRANGE = 2.33

      # One reading. surprise: in standard deviations of what was expected
      Reading = Value.define(:sample, :what, :read, :expected, :surprise) do
        # @return [Boolean] whether it should be measured again before it is believed
        def strange?
          surprise.abs > STRANGE
        end
      end
      # What could be measured next. saves: how much narrower what matters would get, in shares of what matters
      Next = Value.define(:what, :units, :saves)

      # @param design [Project::Design] with samples @param table [Catalogue::Table]
      def initialize(design, table, component, calibration: Setup::Calibration.new)
        @design = design
        @table = table
        @component = component
        @calibration = calibration
        @samples = design.samples.select { |sample| sample.component == component }
        @made = Hash.new { |known, level| known[level] = MadeOnce.new(design, table, component, calibration: calibration, level: level) }
      end

      attr_reader :samples

      # @param level [Integer] @return [MadeOnce]
      def made(level = 3)
        @made[level]
      end

      # @return [Belief]
      def before
        @before ||= Belief.before(tension? ? BEFORE.merge(size: TENSION) : BEFORE)
      end

      # @return [Belief]
      def after
        @after ||= before.after(pairs.map { |_, _, expectation, read| [expectation, read] })
      end

      def tension?
        made.tension?
      end

      # @return [Array<Reading>]
      def readings
        pairs.map do |sample, what, expectation, read|
          Reading.new(sample: sample, what: what, read: read, expected: expectation.expected, surprise: before.surprise(expectation, read))
        end
      end

      # @return [Array<Symbol>] assumptions that anything was read about
      def informed
        %i[size take weight pace].select { |name| after.spread(name) < before.spread(name) * 0.97 }
      end

      # @return [Boolean] whether samples speak against an assumption: what is planned with lies outside of the range
      def contradicted?(name)
        !1.0.between?(*after.range(name))
      end

      # @return [Project::Design] planned by its samples of this component
      def design
        others = @design.measured.reject { |shown| shown.component == @component }
        @design.with(measured: (samples.empty? ? others : [*others, measured]).freeze)
      end

      # @return [Making::Measured] by which the design is planned from now on
      def measured
        factors = informed.to_h { |name| [name, after.factor(name).clamp(LEAST, MOST).round(4)] }
        Making::Measured.new(component: @component, **factors)
      end

      # @return [Next, nil] what would tell most about a piece of the usual size
      def most_telling
        options.map { |what, units, expectation| Next.new(what: what, units: units, saves: saves(expectation)) }.max_by(&:saves)
      end

      # @return [Float] how far what a piece of the usual size comes to may be off, now and before anything was measured
      def doubts(what)
        expectation = whole[what] or return nil
        [after, before].map { |belief| Session::Spread::EIGHT_OF_TEN * belief.doubt(expectation) }
      end

      # @return [Hash{Symbol=>Expectation}] of a piece of the usual size
      def whole
        @whole ||= made.expectations(Project::Sample.new(component: @component))
      end

      private

      def pairs
        @pairs ||= samples.flat_map do |sample|
          expectations = made(sample.level).expectations(sample)
          READ.filter_map { |what, read| [sample, what, expectations[what], read.call(sample)] if expectations[what] && read.call(sample) }
        end
      end

      # A swatch of twice as many repeats as the largest so far, or a whole piece.
      def options
        units = [(samples.filter_map(&:units).max || 5) * 2, 100].min if made.repeats?
        swatch = units ? made.expectations(Project::Sample.new(component: @component, units: units)) : {}
        swatch.map { |what, expectation| [what, units, expectation] } + whole.map { |what, expectation| [what, nil, expectation] }
      end

      def saves(expectation)
        then_known = after.after([[expectation, after.told(expectation)]])
        whole.sum { |what, one| (after.doubt(one) - then_known.doubt(one)) / MATTERS.fetch(what) }
      end
    end
  end
end
