# frozen_string_literal: true

module Core
  module Setup
    # What an instructor chose for one class about materials and money.
    SupplySettings = Fields.define do
      field :spares, :choice, of: %i[shared bagged], default: :shared, shown: :materials,
        says: 'whether spares lie in one dish or in every bag'
      field :confidence, :whole, within: 50..99, default: 95, shown: :materials, says: 'wanted chance that nothing runs out, in hundredths'
      field :extra_kits, :whole, within: 0..12, default: 0, shown: :materials, says: 'kits for late sign-ups'
      field :extra_size, :choice, of: %i[median largest], default: :median, shown: :materials, says: 'whose size the extra kits have'
      field :tails_by_line, :by_key, each: { type: :choice, of: Ends::Tails::POLICIES }, default: {}.freeze,
        says: 'by line, how long its tails are cut'
      field :off_reel, :yes, default: false, shown: :cuts, says: 'whether lines are worked off the reel instead of cut first'
      field :cut_by_line, :by_key, each: { type: :choice, of: %i[cut_first off_reel] }, default: {}.freeze,
        says: 'by line, how it is cut; this goes before off_reel'
      field :venue, :amount, within: 0..Money::MOST_MINOR, default: 4000, shown: :cost, says: 'for the whole class'
      field :tools_share, :amount, within: 0..Money::MOST_MINOR, default: 1000, shown: :cost, says: 'for the whole class'
      field :hour, :amount, within: 0..Money::MOST_MINOR, default: 2500, shown: :cost, says: "for an hour of the instructor's time"
      field :around_minutes, :whole, within: 0..1440, default: 90, shown: :cost,
        says: 'minutes of preparing and clearing that are paid beside the class itself'
      field :margin, :whole, within: 0..80, default: 10, shown: :cost, says: 'hundredths of the price'
      field :vat, :whole, within: 0..30, default: 0, shown: :cost, says: 'value added tax in hundredths, on top of the price without it'
      field :rounding, :amount, within: 1..Money::MOST_MINOR, default: 50, shown: :cost, says: 'what the price of a seat is rounded up to'
      field :reels, :choice, of: %i[price fewest waste], default: :price, shown: :cuts, says: 'how new reels are chosen'
      field :offcuts, :whole, within: 0..100, default: 0, says: 'hundredths of its price that what is kept of a new reel counts for'
      field :fill_up, :yes, default: true, says: "whether an order below a supplier's minimum is filled up"
    end

    class SupplySettings
      # @param line [Catalogue::Line] @return [Boolean] whether it is worked off the reel
      def off_reel?(line)
        cut_by_line.key?(line.key) ? cut_by_line[line.key] == :off_reel : off_reel
      end
    end
  end
end
