# frozen_string_literal: true

module Web
  module Contracts
    # What may be kept about what someone needs.
    class NeedsContract < Contract
      judges Core::People::Needs, :age, :guardian, :other_allergy
    end
  end
end
