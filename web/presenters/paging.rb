# frozen_string_literal: true

module Web
  module Presenters
    # A long list shown page by page, narrowed by what is looked for. A class that includes it sets @query and @asked, and answers #count
    # and #path.
    module Paging
      PER_PAGE = 25
      LONGEST_QUERY = 80

      attr_reader :query

      # @return [Integer] from 1
      def page
        @asked.clamp(1, pages)
      end

      def pages
        [(count.to_f / PER_PAGE).ceil, 1].max
      end

      # @return [Integer] how many come before this page
      def offset
        (page - 1) * PER_PAGE
      end

      # @return [String] of another page
      def address(number)
        "#{path}?#{Rack::Utils.build_query('q' => query, 'page' => number)}"
      end

      private

      # @param query [String] @param page [String] its number, as typed
      def look(query, page)
        @query = query[0, LONGEST_QUERY]
        @asked = page.match?(/\A\d{1,5}\z/) ? page.to_i : 1
      end
    end
  end
end
