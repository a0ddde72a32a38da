# frozen_string_literal: true

module Core
  module Sizing
    # Which step of a piece hangs two components together, and what it hangs. Steps are named "component/step".
    class Joints
      # @param meetings [Array<Array(Array(String, Making::Attachment))>] pairs of component and its end that meet
      def initialize(meetings)
        @meetings = meetings
      end

      # @return [Hash{String=>Array<Catalogue::Part, Catalogue::Line>}] what of other components each step takes in
      def by_step
        @by_step ||= @meetings.each_with_object(Hash.new([].freeze)) do |sides, found|
          worker = Joints.worker(sides) or next
          key, end_of = worker
          _, other = sides.find { |side| !side.equal?(worker) }
          found["#{key}/#{end_of.opening_step || end_of.closing_step}"] |= [other.item]
        end.tap { |found| found.default = nil }
      end

      # A line is closed round the part it meets. Of two parts the one that opens later hangs in what closed before.
      # @return [Array(String, Making::Attachment), nil] the side whose step does it
      def self.worker(sides)
        lines = sides.select { |_, one| one.item.is_a?(Catalogue::Line) }
        return if lines.size > 1
        return lines.first if lines.any? && lines.first.last.closing_step

        later = sides.reverse - lines
        later.find { |_, one| one.opening_step } || later.find { |_, one| one.closing_step }
      end
    end
  end
end
