# frozen_string_literal: true

module Core
  module Construction
    # The pieces of work in a strung component, with what each needs done before.
    class StrungSteps
      # @param beads [Array<Catalogue::Part>] on one line, in order
      def initialize(crimp_technique:, covered:, start:, strands:, beads:, length:, buried:)
        @crimp_technique = crimp_technique
        @covered = covered
        @start = start
        @strands = strands
        @beads = beads
        @length = length
        @buried = buried
      end

      # @return [Array<StepUse>]
      def to_a
        [cut_line, (stop_end if stopper?), lay_out, string, check, first_end, second_end, (covers if @covered), finish].compact
      end

      private

      def stopper?
        @start == :stopper
      end

      def cut_line
        step('cut_line', 'cutting_line', @strands, preparable: true, cautions: %i[cutting])
      end

      def stop_end
        step('stop_end', 'bead_stopper', @strands, after: %w[cut_line], keeps: { 'bead_stopper' => 'first_end' })
      end

      def lay_out
        step('lay_out', 'measuring', 1, rather_after: %w[cut_line], values: { beads: @beads.size * @strands }, preparable: true,
          keeps: { 'bead_mat' => 'string' })
      end

      def string
        small = @beads.count { |bead| bead.outer < Strung::SMALL_BELOW }
        effort = Rational((@beads.size - small) + (small * Strung::SMALL_EFFORT), [@beads.size, 1].max)
        step('string', 'stringing', @beads.size * @strands, effort: effort, values: { beads: @beads.size * @strands },
          adds: %i[line bead centre filler finishing],
          after: ['lay_out', stopper? ? 'stop_end' : 'first_end'])
      end

      def check
        step('check_length', 'measuring', 1, after: %w[string], checkpoint: true, values: { length: @length, beads: @beads.size })
      end

      def first_end
        step('first_end', @crimp_technique, @strands, adds: %i[line crimp], after: [stopper? ? 'check_length' : 'cut_line'])
      end

      def second_end
        step('second_end', @crimp_technique, @strands, adds: %i[crimp], effort: Strung::SECOND_END_EFFORT,
          after: %w[first_end check_length])
      end

      def covers
        step('covers', 'crimp_cover', 2 * @strands, optional: true, adds: %i[cover], after: %w[second_end])
      end

      def finish
        step(@buried ? 'bury_tails' : 'trim_tails', 'trimming', 2 * @strands, after: %w[second_end], cautions: %i[cutting sharp_tails])
      end

      def step(key, technique, repeats, **rest)
        StepUse.new(key: key, technique: technique, repeats: repeats, text: :"strung_#{key}", **rest)
      end
    end
  end
end
