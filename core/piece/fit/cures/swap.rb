# frozen_string_literal: true

module Core
  module Fit
    module Cures
      # Another part or line in the place of one, wherever it stands in the design.
      class Swap < Cure
        attr_reader :from, :to

        # @param from [Catalogue::Part, Catalogue::Line] @param to [Catalogue::Part, Catalogue::Line]
        def initialize(from, to, change:)
          @from = from
          @to = to
          super(change: change, from: from.name, to: to.name)
        end

        def apply(design)
          design.with(components: design.components.map { |component| component.with(parameters: swapped(component.parameters)) })
        end

        private

        def identity
          [from.key, to.key]
        end

        def swapped(data)
          case data
          when Hash then data.transform_values { |value| swapped(value) }
          when Array then data.map { |value| swapped(value) }
          else data == from.key ? to.key : data
          end
        end
      end
    end
  end
end
