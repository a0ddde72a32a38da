# frozen_string_literal: true

module Core
  module Logbook
    # What the instructor notes of a class that was held. taken: money taken in minor units, nil where it is not known · remark: for the
    # next time · teaches: whether plans may learn from it
    Note = Value.define(taken: nil, remark: '', teaches: true)
  end
end
