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
    # @param closing_step afterwards it is too late
    # @param opening_step when it is opened and shut again, so that it takes what is closed already
    Anchor = Value.define(:item, :x, :y, reach: 0.0, origin: nil, closing_step: nil, opening_step: nil)
  end
end
