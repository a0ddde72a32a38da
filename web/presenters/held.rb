# frozen_string_literal: true

module Web
  module Presenters
    # The classes that were held, the newest first.
    class Held
      include Printing
      include Paging

      # One class in the list.
      Row = Core::Value.define(:id, :title, :date, :project, :people)

      # @param library [Application::Library] @param today [Date]
      def initialize(studio, library, today, query, page)
        @studio = studio
        @library = library
        @today = today
        look(query, page)
      end

      def path
        '/classes/held'
      end

      # @return [Integer] how many match
      def count
        @count ||= @studio.classes.held_count(@today, matching: query)
      end

      # @return [Array<Row>]
      def rows
        @studio.classes.held(@today, limit: PER_PAGE, offset: offset, matching: query).map do |stored|
          workshop = stored.state.workshop
          Row.new(id: stored.id, title: workshop.title, date: workshop.date.strftime('%-d %b %Y'), people: stored.state.attendees.size,
            project: @library.design(stored.state.project_version_id).name)
        end
      end

      def count_words
        return query.empty? ? 'No class was held yet.' : 'No class matches. Try fewer letters, or empty the field.' if count.zero?

        "#{count_of(count, 'class', 'classes')}#{", page #{page} of #{pages}" if pages > 1}"
      end
    end
  end
end
