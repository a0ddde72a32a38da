# frozen_string_literal: true

module Application
  class Lessons
    # How people are: how much they differ, how often they call for help, and how long a visit takes.
    class People
      SORT = 'people'
      DIGITS = 2
      NAMES = %i[between help help_minutes].freeze

      # @param studio [Store::Studio] @param library [Library]
      def initialize(studio, library)
        @studio = studio
        @calibration = library.calibration
      end

      # See Times#rows.
      def rows(learnt, before)
        NAMES.filter_map do |name|
          lesson = learnt.public_send(name) or next
          now = @calibration.public_send(name)
          values = [lesson.value, lesson.low, lesson.high].map { |value| value.round(DIGITS) }
          yield name.to_s, name, lesson, before.fetch(name.to_s, now), values, now
        end
      end

      def save(values)
        known = values.transform_keys(&:to_sym).slice(*NAMES)
        @studio.calibrate(@studio.settings.calibration.with(**known))
      end

      def reset(key, before)
        save(key => before)
      end
    end
  end
end
