# frozen_string_literal: true

module Core
  module Making
    # Flowers in the order in which they are woven, to be ticked off.
    #
    # @param petals [Array<Catalogue::Part>] of one flower after the other
    # @param middle Catalogue::Part of each
    WeaveChart = Value.define(:petals, :middle)
  end
end
