# frozen_string_literal: true

module Core
  module Steps
    # How many of each tool are in use at one moment at the most, by a forecast's rows.
    module Overlap
      module_function

      # @param rows [Hash{String=>Array<Segment>}]
      # @return [Hash{String=>Integer}] tool key => most at once; what ends at a minute is free for what begins then
      def most(rows)
        taken, freed = {}, {}
        by_tools(rows).each do |tools, segments|
          from, to = segments.map(&:from), segments.map(&:to)
          tools.each do |tool|
            (taken[tool] ||= []).concat(from)
            (freed[tool] ||= []).concat(to)
          end
        end
        taken.to_h { |tool, minutes| [tool, peak(minutes.sort, freed[tool].sort)] }
      end

      # People hold the same tools at the same steps: most lists of tools are one object.
      # @return [Hash{Array<String>=>Array<Segment>}]
      def by_tools(rows)
        found = {}.compare_by_identity
        rows.each_value { |segments| segments.each { |segment| (found[segment.tools] ||= []) << segment } }
        found
      end

      def peak(taken, freed)
        free = 0
        taken.each_with_index.map { |minute, before|
          free += 1 while free < freed.size && freed[free] <= minute
          before + 1 - free
        }.max
      end
      private_class_method :by_tools, :peak
    end
  end
end
