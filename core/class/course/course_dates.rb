# frozen_string_literal: true

module Core
  module Course
    # The evenings of a course by date, with what is new, what leaps, and what is to be revised.
    module CourseDates
      # Below this share of what was learnt it is worth showing again (from memory).
      FADED = 0.9

      module_function

      # @param order [Array<Lesson>] @param sequence [Sequence] that judges it @param techniques [Hash{String=>Catalogue::Technique}]
      # @param first [Date] @param gap_days [Integer] @return [Array<Evening>]
      def of(order, sequence, techniques, first, gap_days)
        last = {}
        order.each_with_index.map do |lesson, i|
          date = first + (i * gap_days)
          before = order.first(i)
          evening = Evening.new(lesson: lesson, date: date, fresh: known(sequence.fresh(lesson, before), techniques),
            wanting: sequence.wanting(lesson, before).map { |pair| known(pair, techniques) },
            revise: known(faded(lesson, last, date), techniques))
          lesson.techniques.each { |key| last[key] = date }
          evening
        end
      end

      def faded(lesson, last, date)
        lesson.techniques.select { |key| last[key] && 0.5**((date - last[key]).to_i / People::Familiarity::HALF_LIFE_DAYS) < FADED }
      end

      def known(keys, techniques)
        keys.filter_map { |key| techniques[key] }
      end
      private_class_method :faded, :known
    end
  end
end
