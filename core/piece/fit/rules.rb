# frozen_string_literal: true

module Core
  module Fit
    # All fit rules, one per file.
    module Rules
      extend Family

      kind_of Rule, label: :rule
    end
  end
end
