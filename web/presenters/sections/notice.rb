# frozen_string_literal: true

module Web
  module Presenters
    module Sections
      # What just happened.
      class Notice < Section
      end
    end
  end
end
