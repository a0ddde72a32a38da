# frozen_string_literal: true

module Application
  module Merge
    # Ready-made ways to end a piece.
    class Closures < Kind
      private

      def name
        :closures
      end

      def present
        @studio.catalogue.closures.map(&:to_data)
      end

      def key(item)
        item['key']
      end

      def save(chosen)
        chosen.each { |data| @studio.catalogue.save_closure(Store::Catalogue::Closure.read(data)) }
      end
    end
  end
end
