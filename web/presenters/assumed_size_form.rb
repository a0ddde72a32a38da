# frozen_string_literal: true

module Web
  module Presenters
    # The size at which people are planned who were not measured; empty takes what is usual in the group.
    class AssumedSizeForm
      include Fields

      # @return [Core::Measure::Length, nil]
      attr_reader :size

      # @param body [Symbol] what the class's project is sized by
      def initialize(params, body)
        @values = { 'assumed_size' => clean(params['assumed_size'])[0, 40] }
        @errors = {}
        read(body) unless value(:assumed_size).empty? || body == :own
      end

      private

      def read(body)
        result = Formats::MeasureText.read(value(:assumed_size), body)
        @size = result.length unless result.problem
        @errors = { assumed_size: Formats::Wording.say("imports.#{result.problem.first}", **result.problem.last) } if result.problem
      end
    end
  end
end
