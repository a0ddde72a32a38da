# frozen_string_literal: true

module Core
  module Making
    # No whole number of units meets the target, and why.
    #
    # @param causes [Cause]
    # @param cures [Cause], least change first
    OutOfReach = Value.define(:target, :causes, :cures)
  end
end
