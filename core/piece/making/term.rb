# frozen_string_literal: true

module Core
  module Making
    # One line of a working.
    #
    # @param operation :start, :plus, :minus, :times, :shared, :part, :equals
    # @param length its amount (nil for :times and :shared)
    # @param code wording key
    # @param values for its wording
    Term = Value.define(:operation, :code, :length, values: {}.freeze)
  end
end
