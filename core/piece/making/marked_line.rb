# frozen_string_literal: true

module Core
  module Making
    # Where things are fastened on a line, to mark it by before work begins.
    #
    # @param line Catalogue::Line
    # @param layer which of several, from 1
    # @param long Measure::Length from the outer edge of the first end to that of the last
    # @param spans [(Measure::Length, Measure::Length)] where each station begins and ends, from there
    MarkedLine = Value.define(:line, :layer, :long, :spans)
  end
end
