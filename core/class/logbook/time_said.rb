# frozen_string_literal: true

module Core
  module Logbook
    # What one class says of the time of one technique.
    #
    # @param technique its key
    # @param session names the class
    # @param tries how many steps it is told by
    # @param factor logarithm of taken against planned minutes
    # @param variance of the factor, by chance and by taps
    # @param people how many people it is like, who each have a pace of their own
    # @param weight how much it counts
    TimeSaid = Value.define(:technique, :session, :tries, :factor, :variance, :people, weight: 1.0)
  end
end
