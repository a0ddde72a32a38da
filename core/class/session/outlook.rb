# frozen_string_literal: true

module Core
  module Session
    # What a verdict needs of a forecast. runs · chance: that everyone finishes in time · late_end: minute by which nine of ten classes
    # have ended · last: key of the person who is most often the last
    Outlook = Value.define(:runs, :chance, :late_end, :last)
  end
end
