# frozen_string_literal: true

module Web
  module Contracts
    # What may be chosen for one class about materials and money.
    class SupplyContract < Contract
      judges Core::Setup::SupplySettings

      option :currency
    end
  end
end
