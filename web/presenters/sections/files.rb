# frozen_string_literal: true

module Web
  module Presenters
    module Sections
      # The class as files.
      class Files < Section
      end
    end
  end
end
