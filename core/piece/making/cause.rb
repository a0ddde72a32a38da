# frozen_string_literal: true

module Core
  module Making
    # A reason or a remedy, rendered later.
    #
    # @param code wording key
    # @param values lengths and counts for its wording
    Cause = Value.define(:code, values: {}.freeze)
  end
end
