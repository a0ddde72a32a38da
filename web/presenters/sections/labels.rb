# frozen_string_literal: true

module Web
  module Presenters
    module Sections
      # Labels for the bags, and sheets for preparing.
      class Labels < Section
        # @return [Array<(String, String)>] key and words
        def grids
          Formats::LabelGrid::ALL.map { |grid| [grid.key, grid.to_s] }
        end
      end
    end
  end
end
