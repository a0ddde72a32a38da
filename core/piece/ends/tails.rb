# frozen_string_literal: true

module Core
  module Ends
    # What hands need at the end of a line: policy, not physics.
    module Tails
      # Line left beyond each crimp to hold while crimping; usual and generous are common practice, lean is from memory.
      CRIMPED_MM = { lean: 35, usual: 50, generous: 75 }.freeze
      # What becomes of a tail once the crimp holds.
      ENDS = %i[trimmed end_beads buried].freeze
      # Elastic to tie and pull at both ends together: a hand's length (common practice, no source; lean and generous from memory).
      ELASTIC_MM = { lean: 80, usual: 110, generous: 150 }.freeze
      # Cord left at each end to tie and pull (from memory).
      KNOTTED_MM = { lean: 70, usual: 100, generous: 150 }.freeze
      # Wire left at each end of beaded work (common practice, no source; lean from memory).
      WIRED_MM = { lean: 100, usual: 125, generous: 150 }.freeze

      module_function

      POLICIES = %i[lean usual generous].freeze

      # @param table [Hash] one of the above @param maker [Maker] @param line [Catalogue::Line]
      # @return [Measure::Length] for one end
      def at(table, maker, line)
        Measure::Length.mm(table.fetch(maker.tails_on(line)))
      end
    end
  end
end
