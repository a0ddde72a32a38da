# frozen_string_literal: true

module Store
  # More was to leave the stock than there is. entry: Core::Supply::Entry · held: what there is
  class Shortfall < StandardError
    attr_reader :entry, :held

    def initialize(entry, held)
      @entry = entry
      @held = held
      super("#{entry.item}: #{held} in stock, #{-entry.quantity} wanted")
    end
  end
end
