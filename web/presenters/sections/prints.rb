# frozen_string_literal: true

module Web
  module Presenters
    module Sections
      # What is printed for the evening.
      class Prints < Section
      end
    end
  end
end
