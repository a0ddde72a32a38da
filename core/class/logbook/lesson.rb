# frozen_string_literal: true

module Core
  module Logbook
    # What classes teach about one thing. about: its key · number: of tries, uses, people or the like it comes from · seen: how many of them
    # were lost, called and the like, nil where nothing is counted · classes: how many · value: what it comes to, low, high: where it lies
    # with a chance of 8 in 10, in the unit that each way of learning names
    Lesson = Value.define(:about, :number, :classes, :value, :low, :high, seen: nil)

    class Lesson
      # Quantile of the normal distribution: eight of ten lie within it on either side.
      REACH = Session::Spread::EIGHT_OF_TEN
    end
  end
end
