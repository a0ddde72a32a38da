# frozen_string_literal: true

module Core
  module Session
    # What to make of a chance that everyone finishes: less than half of the target is in the way, less than all of it is tight.
    module Likelihood
      STATUSES = { likely: :fits, doubtful: :tight, unlikely: :will_not }.freeze

      module_function

      # @param chance [Float] 0..1 @param target [Integer] hundredths @return [Symbol] a key of STATUSES
      def of(chance, target)
        hundredths = (chance * 100).round
        return :likely if hundredths >= target

        hundredths * 2 >= target ? :doubtful : :unlikely
      end

      # @return [Symbol] :fits, :tight or :will_not
      def status(chance, target)
        STATUSES.fetch(of(chance, target))
      end
    end
  end
end
