# frozen_string_literal: true

module Application
  class Lessons
    # Shares of parts that are lost, by kind. What was not learnt is not kept: it comes from memory.
    class Losses
      SORT = 'loss'
      # Told and kept to a tenth of a hundredth.
      DIGITS = 3

      # @param studio [Store::Studio] @param library [Library]
      def initialize(studio, library)
        @studio = studio
        @used = library.calibration.losses
      end

      # See Times#rows.
      def rows(learnt, _before)
        learnt.losses.map do |lesson|
          usual = Core::Materials::Loss.usual(lesson.about)
          values = [lesson.value, lesson.low, lesson.high].map { |share| share.round(DIGITS) }
          yield lesson.about.to_s, lesson.about, lesson, usual, values, @used.fetch(lesson.about.to_s, usual)
        end
      end

      def save(values)
        change { |losses| losses.merge(values) }
      end

      def reset(key, _before)
        change { |losses| losses.except(key) }
      end

      private

      def change
        calibration = @studio.settings.calibration
        @studio.calibrate(calibration.with(losses: yield(calibration.losses)))
      end
    end
  end
end
