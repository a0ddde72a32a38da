# frozen_string_literal: true

module Core
  module Construction
    # How a component meets its neighbour. item: the part or line that stands there · closing_step: the step that shuts it
    End = Value.define(:item, passes: 1, closing_step: nil)
  end
end
