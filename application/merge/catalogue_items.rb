# frozen_string_literal: true

module Application
  module Merge
    # Parts, lines, tools or techniques.
    class CatalogueItems < Kind
      attr_reader :name

      # @param name [Symbol] a key of Store::Catalogue::RECORDS
      def initialize(studio, content, name)
        super(studio, content)
        @name = name
      end

      # Those that a project names and that are not here yet. @param keys [Set<String>]
      def bring_missing(keys)
        known = @studio.catalogue.table.public_send(name)
        save(items.select { |item| keys.include?(item.key) && !known.key?(item.key) })
      end

      private

      def present
        @studio.catalogue.table.public_send(name).values
      end

      def save(chosen)
        @studio.catalogue.save(name, chosen) if chosen.any?
      end
    end
  end
end
