# frozen_string_literal: true

module Store
  # Which values that plans reckon with were learnt from classes, what they were before, and which are to stay as they are.
  class Lessons
    include Transactional

    # @return [Hash{String=>Float}] what was learnt, such as "time/stringing" => its value before
    def before
      @database[:lessons].select_hash(:about, :before)
    end

    # What stood there before the first lesson stays.
    def note(about, before)
      write { @database[:lessons].insert_conflict.insert(about: about, before: before) }
    end

    def forget(about)
      write { @database[:lessons].where(about: about).delete }
    end

    # @return [Array<String>] values that classes do not change
    def fixed
      @database[:lessons_fixed].select_map(:about)
    end

    def fix(about)
      write { @database[:lessons_fixed].insert_conflict.insert(about: about) }
    end

    def loosen(about)
      write { @database[:lessons_fixed].where(about: about).delete }
    end
  end
end
