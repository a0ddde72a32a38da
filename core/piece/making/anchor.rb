# frozen_string_literal: true

module Core
  module Making
    # A place something can hang from. item: what it hangs on, a line or a part · x, y: where, in millimetres from the component's first
    # end · reach: how far the item goes on from there, for what already hangs itself · origin: place of the item in its pattern, such as
    # "pattern.0.1" · closing_step: afterwards it is too late
    Anchor = Value.define(:item, :x, :y, reach: 0.0, origin: nil, closing_step: nil)
  end
end
