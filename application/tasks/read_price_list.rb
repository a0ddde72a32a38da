# frozen_string_literal: true

module Application
  module Tasks
    # Reads a supplier's price list.
    #
    # @param bytes as it was sent
    # @param supplier Core::Supply::Supplier
    ReadPriceList = Core::Value.define(:bytes, :table, :market, :supplier) do
      # @return [Formats::PriceList] read
      def call(report)
        list = Formats::PriceList.new(bytes, table, market, supplier.key) { |share| report.call(Work::Progress.new(share: share)) }
        list.tap(&:rows)
      end
    end
  end
end
