# frozen_string_literal: true

module Core
  module Session
    # When people wait: average numbers waiting in each stretch of the class.
    module Queues
      # Minutes.
      STRETCH = 5.0

      module_function

      # @param runs [Array<RunTrace>]
      # @return [Array<(Float, Float, Float)>] minute at which a stretch begins, waiting for tools, waiting for help
      def of(runs)
        last = runs.flat_map { |run| run.waiting.map(&:first) }.max || 0.0
        sums = Array.new((last / STRETCH).floor + 1) { [0.0, 0.0] }
        runs.each { |run| add(sums, run.waiting) }
        whole = STRETCH * runs.size
        sums.each_with_index.map { |(tools, help), index| [index * STRETCH, tools / whole, help / whole] }
      end

      # Adds minutes times people to each stretch, between one change and the next.
      def add(sums, changes)
        changes.each_cons(2) do |(from, tools, help), (to, *)|
          next if tools.zero? && help.zero?

          (from / STRETCH).floor.upto([(to / STRETCH).floor, sums.size - 1].min) do |index|
            minutes = [to, (index + 1) * STRETCH].min - [from, index * STRETCH].max
            sums[index][0] += tools * minutes
            sums[index][1] += help * minutes
          end
        end
      end
      private_class_method :add
    end
  end
end
