# frozen_string_literal: true

module Core
  module Logbook
    # What classes teach about one thing.
    #
    # @param about its key
    # @param number of tries, uses, people or the like it comes from
    # @param seen how many of them were lost, called and the like, nil where nothing is counted
    # @param classes how many
    # @param value what it comes to, low, high: where it lies with a chance of 8 in 10, in the unit that each way of learning names
    LearnedValue = Value.define(:about, :number, :classes, :value, :low, :high, seen: nil)

    class LearnedValue
      # Quantile of the normal distribution: eight of ten lie within it on either side.
      REACH = Session::Spread::EIGHT_OF_TEN
    end
  end
end
