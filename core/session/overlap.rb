# frozen_string_literal: true

module Core
  module Session
    # How many of each tool are in use at one moment at the most, by a forecast's rows.
    module Overlap
      module_function

      # @param rows [Hash{String=>Array<Segment>}]
      # @return [Hash{String=>Integer}] tool key => most at once; what ends at a minute is free for what begins then
      def most(rows)
        taken, freed = Array.new(2) { Hash.new { |hash, key| hash[key] = [] } }
        rows.each_value do |segments|
          segments.each do |segment|
            segment.tools.each do |tool|
              taken[tool] << segment.from
              freed[tool] << segment.to
            end
          end
        end
        taken.to_h { |tool, minutes| [tool, peak(minutes.sort, freed[tool].sort)] }
      end

      def peak(taken, freed)
        free = 0
        taken.each_with_index.map { |minute, before|
          free += 1 while free < freed.size && freed[free] <= minute
          before + 1 - free
        }.max
      end
      private_class_method :peak
    end
  end
end
