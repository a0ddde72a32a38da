# frozen_string_literal: true

module Web
  module Presenters
    # A pasted or loaded list of people on its way into a class: first shown as understood, then saved.
    class PeopleList
      MOST_BYTES = 1_000_000

      attr_reader :id, :text, :revision, :problem

      # @param stored [Store::Classes::Stored]
      def initialize(stored, params)
        @stored = stored
        @id = @stored.id
        @params = params
        @revision = params['revision'].is_a?(String) ? params['revision'] : @stored.revision.to_s
        given = bytes
        return refuse('imports.too_long') if given.bytesize > MOST_BYTES

        @text = Formats::CellTable.decode(given)
        @import = Formats::PeopleImport.new(@text, columns: columns, header: header) unless @text.strip.empty?
        @problem = first_problem
      rescue Formats::CellTable::Unreadable => e
        @problem = Formats::Wording.say('imports.bad_quotes', line: e.line)
      end

      # @return [Boolean] whether there is a list to show as understood
      def read?
        !@import.nil? && @problem.nil?
      end

      # @return [Boolean] whether it was looked at, and every row can be saved
      def confirmed?
        read? && @params['confirm'] == '1' && rows_wrong.zero?
      end

      # @return [Boolean] whether the project is chosen when the people are in
      def choose?
        @params['choose'] == '1' || @params['project'] == NewClassForm::BY_GROUP
      end

      def title
        @stored.state.workshop.title
      end

      def entries
        @import.entries
      end

      def attendees
        @import.attendees
      end

      def rows_wrong
        entries.count { |entry| entry.problems.any? }
      end

      def header?
        @import.header?
      end

      # @return [Array<(Integer, String, Symbol)>] each column with what stands at its head and what it is taken for
      def columns_guessed
        sample = @import.table.rows.first || []
        (0...@import.table.width).map { |index| [index, sample[index].to_s, @import.columns[index]] }
      end

      def fields
        Formats::PeopleImport::FIELDS
      end

      def fields_used
        Formats::PeopleImport::FIELDS.select { |field| @import.columns.value?(field) || field == :name }
      end

      private

      def refuse(key)
        @text = ''
        @problem = Formats::Wording.say(key)
      end

      def bytes
        upload = @params['file']
        return upload['tempfile'].read(MOST_BYTES + 1).to_s if upload.is_a?(Hash) && upload['tempfile'].respond_to?(:read)

        @params['list'].is_a?(String) ? @params['list'] : ''
      end

      # @return [Hash{Integer=>Symbol}, nil] the columns as corrected, nil before they were shown
      def columns
        corrected = @params['column']
        return unless corrected.is_a?(Hash)

        corrected.filter_map do |index, field|
          known = Formats::PeopleImport::FIELDS.find { |f| f.to_s == field }
          [index.to_i, known] if known
        end.to_h
      end

      def header
        { '1' => true, '0' => false }[@params['header']]
      end

      def first_problem
        return (Formats::Wording.say('imports.nothing') if @params.key?('list')) if @import.nil?
        return Formats::Wording.say('imports.no_rows') if @import.people_rows.empty?
        return Formats::Wording.say('imports.too_many', count: @import.people_rows.size,
          most: Core::Setup::Workshop::MOST_PEOPLE) if @import.too_many?

        total = @import.people_rows.size + @stored.state.attendees.size
        return unless total > Core::Setup::Workshop::MOST_PEOPLE

        Formats::Wording.say('imports.too_many', count: total, most: Core::Setup::Workshop::MOST_PEOPLE)
      end
    end
  end
end
