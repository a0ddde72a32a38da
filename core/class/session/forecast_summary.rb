# frozen_string_literal: true

module Core
  module Session
    # What a verdict needs of a forecast. runs
    #
    # @param chance that everyone finishes in time
    # @param late_end minute by which nine of ten classes have ended
    # @param last key of the person who is most often the last
    ForecastSummary = Value.define(:runs, :chance, :late_end, :last)
  end
end
