# frozen_string_literal: true

module Core
  module Session
    # Why a session cannot be simulated.
    #
    # @param code :no_people, :no_tool, :no_minutes
    # @param values for its wording
    Impossible = Value.define(:code, values: {}.freeze)
  end
end
