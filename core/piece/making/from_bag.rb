# frozen_string_literal: true

module Core
  module Making
    # Parts that a step takes from the bag, in order, as its sentence says them.
    FromBag = Value.define(:parts)
  end
end
