# frozen_string_literal: true

module Core
  module Construction
    # A named place something can hang from. item: what it hangs on · closing_step: afterwards it is too late
    Anchor = Value.define(:item, :x, :y, closing_step: nil)
  end
end
