# frozen_string_literal: true

module Application
  module Merge
    # What makers measured of their own work.
    class Swatches < Kind
      private

      def name
        :swatches
      end

      def present
        @studio.catalogue.table.swatches
      end

      def key(item)
        item.with(value: nil)
      end

      def save(chosen)
        chosen.each { |swatch| @studio.catalogue.save_swatch(swatch) }
      end
    end
  end
end
