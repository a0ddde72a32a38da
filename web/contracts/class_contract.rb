# frozen_string_literal: true

module Web
  module Contracts
    # What a class may be.
    class ClassContract < Contract
      judges Core::Setup::Workshop, :title, :date, :start, :minutes, :venue, :tool_sets
    end
  end
end
