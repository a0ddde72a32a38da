# frozen_string_literal: true

module Web
  module Presenters
    # The size at which people are planned who were not measured; empty takes what is usual in the group.
    class AssumedSizeForm < Form
      # @param body [Symbol] what the class's project is sized by
      def initialize(params, body)
        @body = body
        super({ 'assumed_size' => clean(params['assumed_size'])[0, 40] }, Contracts::AssumedSizeContract.new(body: body))
      end

      # @return [Core::Measure::Length, nil]
      def size
        Formats::MeasureText.read(value(:assumed_size), @body).length unless value(:assumed_size).empty? || @body == :own
      end
    end
  end
end
