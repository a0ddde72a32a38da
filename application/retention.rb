# frozen_string_literal: true

module Application
  # Names of people in held classes, and what else says who they were, for as long as the studio chose. What was made, measured and learnt
  # stays.
  module Retention
    MONTHS = (1..120).freeze
    # What people answered before a class, after it.
    ANSWERS_DAYS = 14

    module_function

    # @param studio [Store::Studio] @param today [Date] @return [Integer] classes that lost their names now
    def call(studio, today)
      studio.invitations.forget(today - ANSWERS_DAYS)
      months = studio.settings.names_months
      months ? studio.classes.take_names_out(today << months) : 0
    end
  end
end
