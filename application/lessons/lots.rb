# frozen_string_literal: true

module Application
  class Lessons
    # How much of the lot on the shelf is no good, by part.
    class Lots
      SORT = 'lot'
      DIGITS = 3

      # @param studio [Store::Studio] @param library [Library]
      def initialize(studio, library)
        @studio = studio
        @parts = library.table.parts
        @used = library.calibration.rejects
      end

      # See Times#rows.
      def rows(learnt, _before)
        Core::Logbook::RejectLearning.new(@parts, @studio.ledger.lots_began).lessons(learnt.lots).map do |lesson|
          part = @parts.fetch(lesson.about)
          values = [lesson.value, lesson.low, lesson.high].map { |share| share.round(DIGITS) }
          yield part.key, part, lesson, part.reject_rate, values, @used.fetch(part.key, part.reject_rate)
        end
      end

      def save(values)
        change { |rejects| rejects.merge(values) }
      end

      def reset(key, _before)
        change { |rejects| rejects.except(key) }
      end

      private

      def change
        calibration = @studio.settings.calibration
        @studio.calibrate(calibration.with(rejects: yield(calibration.rejects)))
      end
    end
  end
end
