# frozen_string_literal: true

module Web
  module Presenters
    # What a page about one class is called by, for presenters that hold its result.
    module OfClass
      def id
        @result.id
      end

      def title
        @result.workshop.title
      end
    end
  end
end
