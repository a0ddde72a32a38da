# frozen_string_literal: true

module Core
  module Setup
    # What an instructor chose for one class about materials and money.
    #
    # @param spares :shared (one dish) or :bagged
    # @param confidence hundredths
    # @param extra_kits for late sign-ups, at extra_size :median or :largest
    # @param tails_by_line {line key => policy}
    # @param off_reel worked off the reel instead of cut first
    # @param cut_by_line {line key => one of WAYS}, which goes before off_reel
    # @param reels how new reels are chosen, one of REELS
    # @param offcuts hundredths of its price that what is kept of a new reel counts for
    # @param fill_up whether an order below a supplier's minimum is filled up
    # @param venue minor units for the class
    # @param tools_share see venue
    # @param hour minor units an hour of the instructor's time
    # @param around_minutes preparing and clearing, paid beside the class itself
    # @param margin hundredths of the price
    # @param rounding minor units the seat is rounded up to
    SupplySettings = Value.define(
      spares: :shared,
      confidence: 95,
      extra_kits: 0,
      extra_size: :median,
      tails_by_line: {}.freeze,
      off_reel: false,
      cut_by_line: {}.freeze,
      venue: 4000,
      tools_share: 1000,
      hour: 2500,
      around_minutes: 90,
      margin: 10,
      rounding: 50,
      fill_up: true,
      reels: :price,
      offcuts: 0
    ) do
      # @param line [Catalogue::Line] @return [Boolean] whether it is worked off the reel
      def off_reel?(line)
        cut_by_line.key?(line.key) ? cut_by_line[line.key] == :off_reel : off_reel
      end
    end

    class SupplySettings
      WAYS = %i[cut_first off_reel].freeze
      REELS = %i[price fewest waste].freeze
      SPARES = %i[shared bagged].freeze
      SIZES = %i[median largest].freeze
      CONFIDENCES = (50..99).freeze
      MOST_EXTRA = 12
      OFFCUTS = (0..100).freeze
    end
  end
end
