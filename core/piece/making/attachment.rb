# frozen_string_literal: true

module Core
  module Making
    # How a component meets its neighbour.
    #
    # @param item the part or line that stands there
    # @param shut_with the fact that it was shut where it hangs
    # @param loop inside the loop by which a line hangs there, nil for what suits
    # @param opened_with the fact that it was opened, hung in and shut, for what was finished before
    # @param closing_step key of the step that gives the one @param opening_step of the one that gives the other; both found from the facts
    # @param loose whether the part comes from the bag as it is: others can hang in it before its component is made
    Attachment = Value.define(:item, passes: 1, shut_with: nil, opened_with: nil, closing_step: nil, opening_step: nil, loop: nil,
      loose: false) do
      include OfSteps
    end
  end
end
