# frozen_string_literal: true

module Application
  class Lessons
    # One value that classes teach about. about: "time/stringing" · subject: the skill, kind of part or name of the setting
    # lesson: Core::Logbook::Lesson · before: from memory · learnt, low, high: what classes taught · now: planned with
    # used: whether now comes from classes · fixed: whether it is to stay as it is
    Row = Core::Value.define(:about, :subject, :lesson, :before, :learnt, :low, :high, :now, :used, :fixed) do
      # @return [Boolean] whether using it would change anything, and may
      def news?
        !fixed && learnt != now
      end
    end
  end
end
