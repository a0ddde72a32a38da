# frozen_string_literal: true

module Store
  # Which techniques' times were learnt from classes, and what they were before.
  class LessonsUsed
    include Writing

    # @return [Hash{String=>Float}] technique key => seconds before
    def all
      @database[:lessons_used].select_hash(:technique, :seconds_before)
    end

    # What stood there before the first lesson stays.
    def note(technique, seconds_before)
      write { @database[:lessons_used].insert_conflict.insert(technique: technique, seconds_before: seconds_before) }
    end

    def forget(technique)
      write { @database[:lessons_used].where(technique: technique).delete }
    end
  end
end
