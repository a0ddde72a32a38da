# frozen_string_literal: true

module Core
  module Supply
    # What one class wants of the stock.
    #
    # @param parts [Wanted]
    # @param lines {Catalogue::Line => [Cutting::WantedCut]}
    # @param fill_up whether its orders are filled up to a supplier's minimum
    # @param reels how new ones are chosen, see SupplySettings
    # @param offcuts what is kept of them, see SupplySettings
    StockDemand = Value.define(:parts, :lines, fill_up: true, reels: :price, offcuts: 0) do
      # @return [Hash] plain, for keeping
      def to_data
        {
          'fill_up' => fill_up,
          'reels' => reels.to_s,
          'offcuts' => offcuts,
          'parts' => parts.map { |wanted| [wanted.part.key, wanted.used, wanted.spares] },
          'lines' => lines.to_h { |line, pieces| [line.key, pieces.map { |piece| [piece.owner, piece.length.nm] }] }
        }
      end
    end

    class StockDemand
      # So many of one part.
      #
      # @param used in the kits
      # @param spares held back
      Wanted = Value.define(:part, :used, :spares)

      # @param plan [Plan] @return [StockDemand]
      def self.of(plan)
        new(parts: plan.needs.map { |need| Wanted.new(part: need.part, used: need.count, spares: plan.held_back(need.part)) },
          lines: plan.line_totals.keys.to_h { |line| [line, plan.pieces(line)] }, fill_up: plan.workshop.supply.fill_up,
          reels: plan.workshop.supply.reels, offcuts: plan.workshop.supply.offcuts)
      end

      # @param data [Hash, nil] see #to_data @return [StockDemand, nil] nil where it is not known or names what the table lacks
      def self.read(data, table)
        return if data.nil?

        parts = data['parts'].map { |key, used, spares| Wanted.new(part: table.part(key), used: used, spares: spares) }
        lines = data['lines'].to_h do |key, pieces|
          [table.line(key), pieces.map { |owner, nm| Cutting::WantedCut.new(owner: owner, length: Measure::Length.new(nm)) }]
        end
        new(parts: parts, lines: lines, fill_up: data['fill_up'], reels: data.fetch('reels', 'price').to_sym,
          offcuts: data.fetch('offcuts', 0))
      rescue UnknownKey
        nil
      end
    end
  end
end
