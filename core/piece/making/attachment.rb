# frozen_string_literal: true

module Core
  module Making
    # How a component meets its neighbour.
    #
    # @param item the part or line that stands there
    # @param closing_step the step that shuts it where it hangs
    # @param loop inside the loop by which a line hangs there, nil for what suits
    # @param opening_step the step that opens it, hangs it in and shuts it, for what was finished before
    # @param loose whether the part comes from the bag as it is: others can hang in it before its component is made
    Attachment = Value.define(:item, passes: 1, closing_step: nil, opening_step: nil, loop: nil, loose: false)
  end
end
