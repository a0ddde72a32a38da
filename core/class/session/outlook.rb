# frozen_string_literal: true

module Core
  module Session
    # What a verdict needs of a forecast. runs · chance: that everybody finishes in time · late_end: minute by which nine of ten classes
    # have ended · last: key of whoever is most often the last
    Outlook = Value.define(:runs, :chance, :late_end, :last)
  end
end
