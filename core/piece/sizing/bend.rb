# frozen_string_literal: true

module Core
  module Sizing
    # What it takes to lie round a body.
    #
    # @param allowance line that the thickness of the parts takes, once round
    # @param slack line that must stay bare between the parts of the whole piece so that it can bend
    # @param doubt how much larger it may come out, see ClosedLine#doubt
    Bend = Value.define(allowance: Measure::Length::ZERO, slack: Measure::Length::ZERO, doubt: Measure::Length::ZERO)
  end
end
