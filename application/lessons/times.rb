# frozen_string_literal: true

module Application
  class Lessons
    # Seconds of techniques. Classes teach a factor of what was planned with before anything was learnt.
    class Times
      SORT = 'time'

      # @param studio [Store::Studio] @param library [Library]
      def initialize(studio, library)
        @studio = studio
        @techniques = library.table.techniques
      end

      # @param learnt [Core::Logbook::Learnt] @param before [Hash{String=>Float}] by key @yieldparam key [String] @yieldreturn [Row]
      def rows(learnt, before)
        learnt.times.filter_map do |lesson|
          technique = @techniques[lesson.about] or next
          first = before.fetch(technique.key, technique.seconds)
          values = [lesson.value, lesson.low, lesson.high].map { |factor| rounded(first * factor) }
          yield technique.key, technique, lesson, first, values, technique.seconds
        end
      end

      # @param values [Hash{String=>Float}] by key
      def save(values)
        chosen = values.filter_map { |key, seconds| @techniques[key]&.with(seconds: seconds) }
        @studio.catalogue.save(:techniques, chosen) if chosen.any?
      end

      def reset(key, before)
        save(key => before)
      end

      private

      # Seconds are told and kept to three figures.
      def rounded(seconds)
        seconds.round(seconds < 10 ? 2 : 1)
      end
    end
  end
end
