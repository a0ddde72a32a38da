# frozen_string_literal: true

module Application
  class Lessons
    # The ease of projects whose pieces come out longer or shorter than planned, in millimetres. How far a piece comes out from its plan
    # does not depend on the ease: it is always taken from the ease that was set first.
    class Eases
      SORT = 'length'
      DIGITS = 1

      # @param studio [Store::Studio] @param _library [Library]
      def initialize(studio, _library)
        @studio = studio
        @designs = studio.projects.newest.map(&:design).reject(&:flat?).to_h { |design| [design.key, design] }
      end

      # See Times#rows.
      def rows(learnt, before)
        learnt.lengths.filter_map do |lesson|
          design = @designs[lesson.about] or next
          first = before.fetch(design.key, design.ease.to_mm.to_f)
          eases = [lesson.value, lesson.high, lesson.low].map { |longer| [first - longer, 0.0].max.round(DIGITS) }
          yield design.key, design, lesson, first, eases, design.ease.to_mm.to_f
        end
      end

      def save(values)
        values.each do |key, ease|
          design = @designs[key]
          @studio.projects.save(design.with(ease: Core::Measure::Length.mm(ease))) if design
        end
      end

      def reset(key, before)
        save(key => before)
      end
    end
  end
end
