# frozen_string_literal: true

module Core
  module Making
    # One thing wrong.
    #
    # @param at path into the parameters, such as ["pattern", 2, "part"]
    # @param code wording key
    # @param values for its wording
    DesignProblem = Value.define(:at, :code, values: {}.freeze) do
      def to_s
        "/#{at.join('/')} #{code}"
      end

      def under(*prefix)
        with(at: [*prefix, *at])
      end
    end
  end
end
