# frozen_string_literal: true

module Core
  module Making
    # A place something can hang from.
    #
    # @param item what it hangs on, a line or a part
    # @param x where, in millimetres from the component's first end
    # @param y see x
    # @param reach how far the item goes on from there, for what already hangs itself
    # @param origin place of the item in its pattern, such as "pattern.0.1"
    # @param shut_with the fact with which it is too late, nil where it never is
    # @param opened_with the fact that it was opened and shut again, so that it takes what is closed already
    # @param closing_step key of the step that gives the one @param opening_step of the one that gives the other; both found from the facts
    Anchor = Value.define(:item, :x, :y, reach: 0.0, origin: nil, shut_with: nil, opened_with: nil, closing_step: nil,
      opening_step: nil) do
      include OfSteps
    end
  end
end
