# frozen_string_literal: true

module Core
  module Construction
    # The pieces of work in a strung component up to its closed ends, each with what it needs, gives and shuts.
    class StrungSteps
      # @param technique [String] that closes an end @param start [Symbol] :stopper, :first_end or :middle
      # @param beads [Array<Catalogue::Part>] on one line, in order @param length [Measure::Length] with its ends
      # @param strung [Measure::Length] of the beads alone
      def initialize(technique:, start:, strands:, beads:, length:, strung:)
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
        step('cut_line', 'cutting_line', @strands, gives: %i[cut], cautions: %i[cutting])
      end

      def stop_end
        step('stop_end', 'bead_stopper', @strands, needs: %i[cut], gives: %i[stopped held], keeps: { 'bead_stopper' => :stopped })
      end

      def lay_out
        step('lay_out', 'measuring', 1, rather: %i[cut], gives: %i[laid_out], values: { beads: @beads.size * @strands },
          order: @beads, keeps: { 'bead_mat' => :laid_out })
      end

      def string
        small = @beads.count { |bead| bead.outer < Kinds::Strung::SMALL_BELOW }
        effort = Rational((@beads.size - small) + (small * Kinds::Strung::SMALL_EFFORT), [@beads.size, 1].max)
        worded(step('string', 'stringing', @beads.size * @strands, effort: effort,
          values: { beads: @beads.size * @strands, strung: @strung, **(@strands > 1 ? { each: @beads.size } : {}) },
          needs: [@start == :middle ? :cut : :held], gives: %i[line bead centre filler finishing loose], shuts: %i[laid_out]))
      end

      # From the middle outward, for a design that is still open.
      def worded(step)
        return step.with(text: :strung_string_from_middle) if @start == :middle

        @strands > 1 ? step.with(text: :strung_string_rows) : step
      end

      def check
        step('check_length', 'measuring', 1, needs: %i[bead], gives: %i[length], checkpoint: true,
          values: { length: @length, beads: @beads.size })
      end

      def first_end
        return step('first_end', @technique, @strands, needs: %i[cut], gives: %i[line crimp held]) if @start == :first_end

        step('first_end', @technique, @strands, needs: %i[length], gives: %i[line crimp],
          shuts: @start == :stopper ? %i[stopped] : [])
      end

      def second_end
        step('second_end', @technique, @strands, gives: %i[crimp], effort: Kinds::Strung::SECOND_END_EFFORT, values: { circle: :row },
          needs: %i[first_end length])
      end

      def step(key, technique, repeats, **rest)
        Making::StepUse.new(key: key, technique: technique, repeats: repeats, text: :"strung_#{key}", **rest)
      end
    end
  end
end
