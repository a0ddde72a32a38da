# frozen_string_literal: true

module Core
  module Construction
    # How a component meets its neighbour. item: the part or line that stands there · closing_step: the step that shuts it where it hangs
    # · opening_step: the step that opens it, hangs it in and shuts it, for what was finished before
    End = Value.define(:item, passes: 1, closing_step: nil, opening_step: nil)
  end
end
