# frozen_string_literal: true

module Core
  module Construction
    # The pieces of work in a strung component up to its closed ends, with what each needs done before.
    class StrungSteps
      # What must be done before stringing, and before the first end is closed, by where the work starts.
      BEFORE = {
        stopper: { string: %w[lay_out stop_end], first_end: %w[check_length] },
        first_end: { string: %w[lay_out first_end], first_end: %w[cut_line] },
        middle: { string: %w[lay_out cut_line], first_end: %w[check_length] }
      }.freeze

      # @param technique [String] that closes an end @param start [Symbol] a key of BEFORE
      # @param beads [Array<Catalogue::Part>] on one line, in order @param length [Measure::Length] with its ends
      # @param strung [Measure::Length] of the beads alone @param made [Array<Making::LineEnd>] the first end and the last
      def initialize(technique:, start:, strands:, beads:, length:, strung:, made:)
        @over_tail = start == :first_end ? made.first.shared.size : 0
        @technique = technique
        @start = start
        @strands = strands
        @beads = beads
        @length = length
        @strung = strung
      end

      # @return [Array<StepUse>]
      def to_a
        [cut_line, (stop_end if @start == :stopper), lay_out, string, check, first_end, second_end].compact
      end

      private

      def cut_line
        step('cut_line', 'cutting_line', @strands, preparable: true, cautions: %i[cutting])
      end

      def stop_end
        step('stop_end', 'bead_stopper', @strands, after: %w[cut_line], keeps: { 'bead_stopper' => 'first_end' })
      end

      def lay_out
        step('lay_out', 'measuring', 1, rather_after: %w[cut_line], values: { beads: @beads.size * @strands }, preparable: true,
          order: @beads, keeps: { 'bead_mat' => 'string' })
      end

      def string
        small = @beads.count { |bead| bead.outer < Kinds::Strung::SMALL_BELOW }
        effort = Rational((@beads.size - small) + (small * Kinds::Strung::SMALL_EFFORT), [@beads.size, 1].max)
        worded(step('string', 'stringing', @beads.size * @strands, effort: effort,
          values: { beads: @beads.size * @strands, strung: @strung, **(@strands > 1 ? { each: @beads.size } : {}) },
          adds: %i[line bead centre filler finishing], after: BEFORE[@start][:string]))
      end

      # From the middle outward, for a design that is still open.
      def worded(step)
        step = step.with(values: { **step.values, also: [:over_tail], tail_beads: @over_tail }) if @over_tail.positive?
        return step.with(text: :strung_string_from_middle) if @start == :middle

        @strands > 1 ? step.with(text: :strung_string_rows) : step
      end

      def check
        step('check_length', 'measuring', 1, after: %w[string], checkpoint: true, values: { length: @length, beads: @beads.size })
      end

      def first_end
        step('first_end', @technique, @strands, adds: %i[line crimp], after: BEFORE[@start][:first_end])
      end

      def second_end
        step('second_end', @technique, @strands, adds: %i[crimp], effort: Kinds::Strung::SECOND_END_EFFORT, values: { circle: :row },
          after: %w[first_end check_length])
      end

      def step(key, technique, repeats, **rest)
        Making::StepUse.new(key: key, technique: technique, repeats: repeats, text: :"strung_#{key}", **rest)
      end
    end
  end
end
