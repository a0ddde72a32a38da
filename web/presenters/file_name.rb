# frozen_string_literal: true

module Web
  module Presenters
    # The name of a file that is downloaded, without its ending: what it is, of which class, on which day.
    module FileName
      module_function

      # @param what [String] @param workshop [Core::Setup::Workshop]
      def of(what, workshop)
        title = workshop.title.unicode_normalize(:nfd).downcase.gsub(/[^a-z0-9]+/, '-').gsub(/\A-+|-+\z/, '')[0, 60]
        [what, title, workshop.date.iso8601].reject(&:empty?).join('-')
      end
    end
  end
end
