# frozen_string_literal: true

module Core
  module Catalogue
    # A tool. people_per_tool: how many share one (1: one a seat; 0: one for the whole class).
    # substitutable false: nothing else may be used in its place. counted: a blade or needle, counted out and in.
    Tool = Value.define(:key, :name, :people_per_tool, substitutable: true, counted: false, cautions: [].freeze) do
      # @param people [Integer] who use it
      # @return [Integer] how many lie ready so that the usual sharing holds
      def needed_for(people)
        return 0 if people.zero?
        return 1 if people_per_tool.zero?

        (people + people_per_tool - 1) / people_per_tool
      end
    end
  end
end
