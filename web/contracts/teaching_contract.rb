# frozen_string_literal: true

module Web
  module Contracts
    # What may be chosen for one class about its steps.
    class TeachingContract < Contract
      judges Core::Setup::TeachingSettings
    end
  end
end
