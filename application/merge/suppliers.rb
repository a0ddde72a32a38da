# frozen_string_literal: true

module Application
  module Merge
    # Suppliers.
    class Suppliers < Kind
      private

      def name
        :suppliers
      end

      def present
        @studio.market.all.suppliers.values
      end

      def save(chosen)
        chosen.each { |supplier| @studio.market.save_supplier(supplier) }
      end
    end
  end
end
