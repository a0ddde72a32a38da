# frozen_string_literal: true

module Web
  module Presenters
    # What uses something of the stockroom, and whether it can be removed or hidden.
    class StockUse
      include Printing

      # Users that are named before the rest is counted.
      MOST_NAMED = 6

      # @param table_name [Symbol]
      def initialize(studio, table_name, key)
        @table = studio.catalogue.table
        @removal = Application::Removal.new(studio)
        @table_name = table_name
        @key = key
      end

      def removable?
        uses.empty?
      end

      # Techniques are not offered for anything by themselves.
      def hideable?
        @table_name != :techniques
      end

      def hidden?
        @table.hidden?(@table_name, @key)
      end

      # @return [Boolean] whether prices go with it
      def sold?
        %i[parts lines].include?(@table_name)
      end

      # @return [Array<String>] projects whose plans change with it
      def projects
        sold? ? @removal.designs(@key).map(&:name).uniq : []
      end

      # @return [String] what uses it
      def words
        said = uses.map { |use| Formats::Wording.use(use) }
        said.size > MOST_NAMED ? "#{said.first(MOST_NAMED).join(', ')} and #{said.size - MOST_NAMED} more" : said.join(', ')
      end

      private

      def uses
        @uses ||= @removal.uses(@table_name, @key)
      end
    end
  end
end
