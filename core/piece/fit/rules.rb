# frozen_string_literal: true

module Core
  module Fit
    # Every rule, one a file.
    module Rules
      extend Family

      kind_of Rule, label: :rule
    end
  end
end
