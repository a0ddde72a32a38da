# frozen_string_literal: true

module Core
  module Supply
    # Who sells. delivery, minimum: Money, of one order
    Supplier = Value.define(:key, :name, :delivery, :minimum)
  end
end
