# frozen_string_literal: true

module Core
  module Steps
    # A stretch of someone's session, in minutes from the start.
    #
    # @param kind :welcome, :demonstration, :work, :drying, :clearing
    # @param tools keys held meanwhile
    Segment = Value.define(:kind, :from, :to, step: nil, tools: [].freeze) do
      def minutes
        to - from
      end
    end
  end
end
