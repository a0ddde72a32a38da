# frozen_string_literal: true

module Core
  module Making
    # Small parts added at the ends to close a gap.
    #
    # @param step length one use adds (both ends counted)
    # @param most uses allowed
    Filler = Value.define(:part, :step, :most)
  end
end
