# frozen_string_literal: true

module Core
  module Steps
    # What is prepared before class, and for whom: what was chosen, and all that must be done before it.
    class Prepared
      # @param steps [Array<Making::StepUse>] of a piece @param chosen {step key => highest level it is prepared for}
      def initialize(steps, chosen)
        @steps = steps.to_h { |step| [step.key, step] }
        @chosen = chosen.select { |key, _| @steps[key]&.preparable }
      end

      # @param step [Making::StepUse] @return [Integer] highest level for whom it is prepared, 0 for none
      def level(step)
        levels.fetch(step.key, 0)
      end

      # @param step [Making::StepUse] @return [Boolean] whether it is prepared for what was chosen of a later step
      def implied?(step)
        level(step) > @chosen.fetch(step.key, 0)
      end

      # @param step [Making::StepUse] preparable @return [Array<Making::StepUse>] it, and what must be prepared before it
      def with(step)
        found = [step]
        found.each { |one| found.concat(one.after.filter_map { |key| @steps[key] } - found) }
      end

      # @return [Array<Making::StepUse>] the first and the last steps that can be prepared: a third choice between them is seldom worth it
      def outermost
        can = @steps.each_value.select(&:preparable)
        followed = can.flat_map(&:after)
        can.select { |step| step.after.empty? || !followed.include?(step.key) }
      end

      private

      def levels
        @levels ||= @chosen.each_with_object({}) do |(key, level), found|
          with(@steps[key]).each { |step| found[step.key] = [found.fetch(step.key, 0), level].max }
        end
      end
    end
  end
end
