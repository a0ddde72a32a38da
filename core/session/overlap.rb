# frozen_string_literal: true

module Core
  module Session
    # How many of each tool are in use at one moment at the most, by a forecast's rows.
    module Overlap
      module_function

      # @param rows [Hash{String=>Array<Segment>}]
      # @return [Hash{String=>Integer}] tool key => most at once; what ends at a minute is free for what begins then
      def most(rows)
        changes = Hash.new { |hash, key| hash[key] = [] }
        rows.each_value do |segments|
          segments.each do |segment|
            segment.tools.tally.each { |tool, held| changes[tool] << [segment.from, held] << [segment.to, -held] }
          end
        end
        changes.transform_values { |marks| peak(marks) }
      end

      def peak(marks)
        held = 0
        marks.sort.map { |_, change| held += change }.max
      end
      private_class_method :peak
    end
  end
end
