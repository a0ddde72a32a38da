# frozen_string_literal: true

module Web
  module Presenters
    # Everyone who was ever in a class, page by page. Those who came last stand first while nothing is looked for in a list to choose from.
    class Register
      include Printing
      include Paging

      # visits: the newest few · more: how many others
      Row = Core::Value.define(:name, :level, :measures, :flags, :techniques, :visits, :more, :here)
      VISITS = 3

      attr_reader :unit, :klass, :draft

      # @param known [Array<Core::People::Register::Known>] by name
      # @param klass [Store::Classes::Stored, nil] that they are chosen for @param draft [Draft, nil] two names for one person, refused
      def initialize(known, unit, query, page, klass = nil, draft = nil)
        @draft = draft
        @known = known
        @unit = unit
        @klass = klass
        look(query, page)
      end

      def path
        klass ? "/classes/#{klass.id}/people/known" : '/people'
      end

      def any?
        @known.any?
      end

      # @return [Integer] how many match
      def count
        matching.size
      end

      def count_words
        return 'Nobody matches. Try fewer letters, or empty the field.' if count.zero?

        "#{count_of(count, 'person', 'people')}#{", page #{page} of #{pages}" if pages > 1}"
      end

      # @return [Array<Row>]
      def rows
        here = klass ? klass.state.attendees.map { |one| one.name.downcase } : []
        matching.drop(offset).first(PER_PAGE).map { |person| row(person, here) }
      end

      # @return [Array<String>] of everyone
      def names
        @known.map(&:name)
      end

      # @return [String] address of all the classes that someone came to
      def visits_of(row)
        "/classes/held?#{Rack::Utils.build_query('q' => row.name)}"
      end

      private

      def matching
        @matching ||= begin
          words = query.downcase.split
          found = @known.select { |person| words.all? { |word| person.name.downcase.include?(word) } }
          klass && words.empty? ? found.sort_by { |person| -person.visits.first.date.jd } : found
        end
      end

      def row(person, here)
        one = person.attendee
        measures = one.measures.map { |body, measure| "#{body} #{length(measure)}" }
        flags = one.flags.map { |flag| flag == :other_allergy ? "allergic: #{one.needs.other_allergy}" : say("flags.#{flag}") }
        Row.new(name: person.name, level: one.level, measures: measures.join(', '), flags: flags.join(', '),
          techniques: one.experience.size, visits: person.visits.first(VISITS), more: [person.visits.size - VISITS, 0].max,
          here: here.include?(one.name.downcase))
      end
    end
  end
end
