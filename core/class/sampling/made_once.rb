# frozen_string_literal: true

module Core
  module Sampling
    # What a design says of any sample of one of its components: from two of its pieces that differ in their repeats, what one repeat is,
    # and from the piece of the sample's size what else there is.
    class MadeOnce
      # Sizes whose pieces are compared, beyond the usual one.
      FURTHER = [25, 60, 120].map { |more| Measure::Length.mm(more) }.freeze

      # Of a piece, or of one repeat: millimetres, grams, minutes.
      #
      # @param body of all lines, as far as they lie along the work
      # @param round of all lines, under beads that lie aside or on the way back
      # @param consumption of all lines in knots and turns
      # @param beads grams of beads
      # @param other grams of all else
      Sum = Value.define(:length, :body, :round, :consumption, :beads, :other, :minutes) do
        def -(other)
          combine(other) { |one, two| one - two }
        end

        def /(other)
          Sum.new(**to_h.transform_values { |value| value / other.to_f })
        end

        def *(other)
          Sum.new(**to_h.transform_values { |value| value * other })
        end

        def combine(other)
          mine, theirs = to_h, other.to_h
          Sum.new(**mine.to_h { |name, value| [name, yield(value, theirs.fetch(name))] })
        end
      end

      # @param design [Project::Design] @param table [Catalogue::Table] @param component [String] key
      # @param level [Integer] of who makes it
      def initialize(design, table, component, calibration: Setup::Calibration.new, level: 3)
        @design = design.unmeasured
        @table = table
        @component = component
        @times = Steps::StepTime.new(calibration)
        @person = People::Attendee.new(key: 'sample', name: '', level: level, measures: {})
        @blueprint = Sizing::Blueprint.new(@design, table)
      end

      # @return [Boolean] whether it repeats, so that a swatch of some repeats can be made
      def repeats?
        !each.nil?
      end

      # @return [Sum, nil] of one repeat
      def each
        return @each if defined?(@each)

        pieces = [Measure::Length::ZERO, *FURTHER].map { |more| fit(usual + more) }.grep(Sizing::Piece)
        first = pieces.first
        further = first && pieces.find { |piece| repeats(piece) && repeats(piece) > repeats(first).to_i }
        @each = further && one_of(first, further)
      end

      # @param sample [Project::Sample] @return [Hash{Symbol=>Expectation}] for each thing that can be read of it; empty where the
      #   piece cannot be made so
      def expectations(sample)
        whole = sample.units.nil?
        piece = fit(sample.worn || usual) if whole
        return {} if whole ? !piece.is_a?(Sizing::Piece) : !repeats?

        total = whole ? sum(piece) : each * sample.units
        growing = whole ? growing(piece) : total
        expected(total, growing)
      end

      # @return [Measure::Length] inside, of a piece of a usual size
      def usual
        @usual ||= @design.body == :own ? @blueprint.own_size : usual_worn
      end

      # @return [Float] beads in one repeat
      def beads_in_one
        @beads_in_one ||= begin
          pieces = [Measure::Length::ZERO, *FURTHER].map { |more| fit(usual + more) }.grep(Sizing::Piece).uniq { |piece| repeats(piece) }
          counts = pieces.first(2).map { |piece|
            piece.work_ups.fetch(@component).parts.select { |use| use.part.bead? && use.role != :left_over }.sum(&:count)
          }
          counts.size == 2 ? (counts[1] - counts[0]).fdiv(repeats(pieces[1]) - repeats(pieces[0])) : 0.0
        end
      end

      # @return [Boolean] whether a repeat is as long as hands work it, not as its beads are
      def tension?
        @blueprint.member(@component).construction.class.tension?
      end

      # @return [Boolean] whether its size depends on what beads are like or on how tight it is worked
      def sizes?
        tension? || @blueprint.member(@component).construction.made_of.any? { |item| item.is_a?(Catalogue::Part) && item.bead? }
      end

      private

      def usual_worn
        Sizing::SizeSearch.usual(@design.body) + @design.added_ease
      end

      def fit(worn)
        @blueprint.fit(worn, Making::Maker.at(@person.level, @design.tails))
      end

      def repeats(piece)
        piece.work_ups.fetch(@component).lengths.repeats
      end

      def one_of(first, further)
        more = repeats(further) - repeats(first)
        found = (sum(further) - sum(first)) / more
        unit = further.work_ups.fetch(@component).lengths.unit
        unit ? found.with(length: unit.to_mm.to_f) : found
      end

      # What grows with the repeats; all that is in the component where it has none.
      def growing(piece)
        number = repeats(piece)
        return each * number if number && repeats?

        made = piece.work_ups.fetch(@component)
        sum(piece).with(length: made.lengths.beaded.to_mm.to_f, beads: beads(made.parts))
      end

      # Lines of the whole piece; what hands held is cut off.
      def sum(piece)
        made = piece.work_ups.fetch(@component)
        along = made.lengths.beaded
        beads = beads(made.parts)
        Sum.new(length: piece.laid_flat.to_mm.to_f, body: in_all(made.cuts) { |cut| cut.body + cut.slack - cut.roundabout(along) },
          round: in_all(made.cuts) { |cut| cut.roundabout(along) }, consumption: in_all(made.cuts, &:consumption), beads: beads,
          other: piece.known_grams - beads, minutes: minutes(piece))
      end

      def in_all(cuts)
        cuts.sum { |cut| yield(cut).to_mm.to_f * cut.count }
      end

      def beads(uses)
        put_on = uses.select { |use| use.part.bead? && use.role != :left_over }
        put_on.sum { |use| Catalogue::Mass.milligrams(use.part).to_f * use.count } / 1000
      end

      def minutes(piece)
        piece.steps.sum { |step| @times.minutes(step, @table.technique(step.technique), @person) }
      end

      def expected(total, growing)
        grams = total.beads + total.other
        size = sizes? ? 1 : 0
        sized = growing.body + (tension? ? 0.0 : growing.round)
        { length: [total.length, { size: growing.length * size }],
          used: [total.body + total.round + total.consumption, { size: sized * size, take: total.round + total.consumption }],
          grams: [grams, { weight: total.beads }],
          minutes: [total.minutes, { pace: total.minutes, hand: total.minutes }] }
          .select { |_, (value, _)| value.positive? }.to_h { |what, (value, shares)| [what, Expectation.of(what, value, shares)] }
      end
    end
  end
end
