# frozen_string_literal: true

module Core
  module Logbook
    # The share of a lot that is no good, from what was tested of it on the bench and what classes used of it since it came.
    class RejectLearning
      # @param parts [Hash{String=>Catalogue::Part}] @param began [Hash{String=>Date}] part key => the day its lot came, where that is known
      def initialize(parts, began)
        @parts = parts
        @began = began
      end

      # A beta distribution that knows nothing before (H. Jeffreys, Theory of Probability, 1961), as for what is tested on the bench.
      # @param uses [Array<LotUse>] @return [Array<LearnedValue>] of each part of which a class rejected one, most rejects first
      def lessons(uses)
        of_lot = uses.select { |use| @parts.key?(use.part) && (@began[use.part].nil? || use.date >= @began[use.part]) }
        of_lot.group_by(&:part).filter_map { |key, same| lesson(@parts[key], same) }.sort_by { |lesson| [-lesson.seen, lesson.about] }
      end

      private

      def lesson(part, uses)
        return if uses.sum(&:rejected).zero?

        lot = part.with(rejected: part.rejected + uses.sum(&:rejected), tested: part.tested + uses.sum { |use| use.used + use.rejected })
        low, high = ShareRange.of(lot.rejected, lot.tested)
        LearnedValue.new(about: part.key, number: lot.tested, seen: lot.rejected, classes: uses.map(&:session).uniq.size,
          value: lot.reject_rate, low: low, high: high)
      end
    end
  end
end
