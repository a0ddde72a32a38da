# frozen_string_literal: true

module Core
  module Construction
    # Reads one parameter's data against a catalogue, and notes everything that is wrong with it at its place.
    class Reader
      # @return [Array<Problem>] found by the last #read
      attr_reader :problems

      # @param table [Catalogue::Table]
      def initialize(table)
        @table = table
        @problems = []
      end

      private

      # @return [nil]
      def report(at, code, **values)
        @problems << Making::DesignProblem.new(at: at, code: code, values: values)
        nil
      end
    end
  end
end
