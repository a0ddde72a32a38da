# frozen_string_literal: true

module Core
  module Making
    # No whole number of units meets the target, and why.
    #
    # @param causes [Cause]
    # @param cures [Cause], least change first
    OutOfReach = Value.define(:target, :causes, :cures) do
      # What cannot be made is not stretched either: see Solution.
      def stretched_to(*, **)
        self
      end
    end
  end
end
