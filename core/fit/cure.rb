# frozen_string_literal: true

module Core
  module Fit
    # A change to a design that would mend a finding. code: wording key · change: how much it touches, smaller is less
    # Either swap: from one part or line to another, by key, wherever it stands; or component, parameter and value: a setting.
    Cure = Value.define(:code, :change, from: nil, to: nil, component: nil, parameter: nil, value: nil, values: {}.freeze) do
      # @param design [Project::Design] @return [Project::Design]
      def apply(design)
        return design if code == :use_colourway
        return Project::Edit.new(design).set(component, parameter => changed(design)) if component

        design.with(components: design.components.map { |c| c.with(parameters: swapped(c.parameters)) })
      end

      private

      # A ring more goes first in its row; any other setting takes its value.
      def changed(design)
        return value unless code == :one_more_ring

        [value, *design.components.find { |c| c.key == component }.parameters.fetch(parameter)]
      end

      def swapped(data)
        case data
        when Hash then data.transform_values { |value| swapped(value) }
        when Array then data.map { |value| swapped(value) }
        else data == from ? to : data
        end
      end
    end
  end
end
