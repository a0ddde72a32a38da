# frozen_string_literal: true

module Core
  module Supply
    # One entry of the ledger.
    #
    # @param kind :part or :line
    # @param item its key
    # @param length of the bars, nil for parts
    # @param quantity pieces or bars, negative when they leave
    # @param reason one of REASONS
    # @param at when, nil before it is written
    Entry = Value.define(:kind, :item, :quantity, :reason, length: nil, note: '', class_id: nil, at: nil)

    class Entry
      REASONS = %i[received counted weighed adjusted taken returned offcut].freeze
      MOST = 10_000_000
    end
  end
end
