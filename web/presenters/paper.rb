# frozen_string_literal: true

module Web
  module Presenters
    # Where a print of a class came from, for its layout.
    module Paper
      # @return [String] what stands behind its title, also as the name of a file
      def paper_about
        "#{workshop.title}, #{workshop.date.iso8601}"
      end

      # @return [String] address
      def paper_back
        "/classes/#{id}"
      end
    end
  end
end
