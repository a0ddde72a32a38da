# frozen_string_literal: true

module Formats
  # Turns a pasted or loaded list into attendees: guesses what each column holds, lets the guess be corrected,
  # and says what is wrong at each cell. Nothing is saved here.
  class PeopleImport
    FIELDS = %i[name wrist neck ankle level notes].freeze
    HEADERS = {
      name: /\b(name|who|attendee|participant|person|student)\b/i,
      wrist: /wrist/i,
      neck: /neck|collar/i,
      ankle: /ankle/i,
      level: /level|\blvl\b|\bstage\b|experience|skill|ability/i,
      notes: /mind|note|allerg|remark|comment|care|need/i
    }.freeze
    # Columns that go into the notes, and what a bare entry of theirs means.
    ALLERGIES = /allerg/i
    AGE = /\bage\b/i
    HAND = /\bhand(?:ed|edness)?\b/i
    NOTHING = %r{\A(?:[-\u2013?]+|n/?a|none|nil|not measured|unknown)\z}i
    UNIT_IN_HEADER = /\b(mm|cm|inch(?:es)?|ins?)\b|(")/i
    LONGEST_NAME = 80
    LONGEST_NOTES = 2000
    LONGEST_MEASURE = 40
    # Words for levels, and for how long someone has done it (from memory).
    LEVEL_WORDS = {
      1 => /\b(?:absolute |complete |total )?(?:beginner|novice|none|never|new|newcomer|first time)\b/i,
      2 => /\b(?:improver|some|a little|elementary|basic)\b/i,
      3 => /\b(?:intermediate|medium|average)\b/i,
      4 => /\b(?:experienced|advanced|confident)\b/i,
      5 => /\b(?:expert|professional|teacher|master)\b/i
    }.freeze
    YEARS = /(\d{1,2})\+? ?(?:years?|yrs?)/i
    LEVEL_BY_YEARS = [[5, 4], [2, 3], [1, 2], [0, 1]].freeze

    # One row.
    #
    # @param attendee nil when a cell stops it
    # @param problems {field => [wording key, values]}
    # @param notes see problems
    Entry = Core::Value.define(:number, :cells, :attendee, :problems, :notes)

    attr_reader :table, :columns

    # @param bytes [String] the list @param columns [Hash{Integer=>Symbol}, nil] corrected meaning of each column
    # @param header [Boolean, nil] whether the first row names the columns; nil guesses
    # @raise [CellTable::Unreadable]
    def initialize(bytes, columns: nil, header: nil)
      @table = CellTable.new(bytes)
      @header = header.nil? ? header_row? : header
      @columns = columns || guess_columns
    end

    def header?
      @header
    end

    # @return [Array<String>] the first row's cells, when it names the columns
    def header_cells
      header? ? table.rows.first || [] : []
    end

    def too_many?
      people_rows.size > Core::Setup::Workshop::MOST_PEOPLE
    end

    def people_rows
      header? ? table.rows.drop(1) : table.rows
    end

    # @return [Array<Entry>] one a row; empty when there are too many
    def entries
      return [] if too_many?

      names = people_rows.map { |row| cell(row, :name).downcase }.tally
      @entries ||= people_rows.each_with_index.map { |row, index| entry(row, index + 1, names) }
    end

    def attendees
      entries.filter_map(&:attendee)
    end

    private

    def header_row?
      first = table.rows.first || []
      matches = first.count { |cell| HEADERS.values.any? { |pattern| pattern.match?(cell) } }
      matches >= 2 || (matches == 1 && first.none? { |cell| cell.match?(/\d/) })
    end

    # What no header tells goes into the notes, so that nothing that was filled in is left out.
    def guess_columns
      return guess_by_content unless header?

      header_cells.each_with_index.with_object({}) do |(cell, index), guessed|
        field = FIELDS.find { |f| !guessed.value?(f) && HEADERS[f].match?(cell) } || (:wrist if hand_measured?(cell, index, guessed))
        guessed[index] = field || :notes if field || filled?(index)
      end
    end

    # A column named after the hand holds its size where it holds lengths, else which of the two it is.
    def hand_measured?(header, index, guessed)
      HAND.match?(header) && !guessed.value?(:wrist) && people_rows.any? { |row| row[index].to_s.match?(/\d/) }
    end

    def filled?(index)
      people_rows.any? { |row| !row[index].to_s.strip.empty? }
    end

    # Without a header: the first wordy column is the name, whole numbers 1 to 5 the level, larger numbers the wrist, the rest notes.
    def guess_by_content
      (0...table.width).each_with_object({}) do |index, guessed|
        cells = people_rows.map { |row| row[index].to_s }.reject(&:empty?)
        field = kind_of(cells, guessed)
        guessed[index] = field if field && !guessed.value?(field)
      end
    end

    def kind_of(cells, guessed)
      return if cells.empty?
      return :level if cells.all? { |cell| cell.match?(/\A[1-5]\z/) } && !guessed.value?(:level)
      return :wrist if cells.count { |cell| cell.match?(%r{\A[\d.,/ ½¼¾]+ ?(mm|cm|in|inch|inches|")?\z}i) } > cells.size / 2

      guessed.value?(:name) ? :notes : :name
    end

    def cell(row, field)
      return notes_of(row) if field == :notes

      index = columns.key(field)
      index ? squeezed(row[index]) : ''
    end

    def squeezed(text)
      text.to_s.gsub(/\s+/, ' ').strip
    end

    # All columns that go into the notes.
    def notes_of(row)
      columns.select { |_, field| field == :notes }.keys
        .map { |index| note(header_cells[index].to_s.strip, squeezed(row[index])) }.reject(&:empty?).join('; ')
    end

    # @return [String] an entry as a note that says what it is of
    def note(header, text)
      return '' if text.empty? || NOTHING.match?(text)

      case header
      when ALLERGIES then text.match?(ALLERGIES) ? text : text.split(/\s*(?:,|;|\band\b)\s*/).map { |one| "#{one} allergy" }.join(', ')
      when AGE then text.match?(/\A\d{1,3}\z/) ? "age #{text}" : text
      when HAND then hand(text)
      when HEADERS[:notes], '' then text
      else "#{header}: #{text}"
      end
    end

    def hand(text)
      return '' if text.match?(/\Ar(?:ight)?\z/i)

      text.match?(/\Al(?:eft)?\z/i) ? 'left-handed' : text
    end

    def entry(row, number, names)
      problems = {}
      notes = {}
      name = read_name(row, names, problems, notes)
      measures = %i[wrist neck ankle].to_h { |body| [body, read_measure(row, body, problems, notes)] }.compact
      level = read_level(row, problems, notes)
      needs = read_needs(row, problems, notes)
      attendee = Core::People::Attendee.new(key: number.to_s, name: name, level: level, measures: measures, needs: needs,
        notes: cell(row, :notes)) if problems.empty?
      Entry.new(number: number, cells: FIELDS.to_h { |field|
        [field, cell(row, field)]
      }, attendee: attendee, problems: problems, notes: notes)
    end

    def read_name(row, names, problems, notes)
      name = cell(row, :name)
      problems[:name] = [:name_missing, {}] if name.empty?
      problems[:name] = [:too_long, {}] if name.length > LONGEST_NAME
      notes[:name] = [:same_name, {}] if !name.empty? && names[name.downcase] > 1
      name
    end

    def read_measure(row, body, problems, notes)
      text = cell(row, body)
      return if text.empty? || NOTHING.match?(text)
      return (problems[body] = [:measure_unreadable, { text: "#{text[0, LONGEST_MEASURE]}\u2026" }]) && nil if text.length > LONGEST_MEASURE

      result = MeasureText.read(text, body, unit_in_header(body))
      problems[body] = result.problem if result.problem
      notes[body] = [:unit_guessed, { length: result.length }] if result.guessed
      result.length unless result.problem
    end

    def unit_in_header(body)
      match = UNIT_IN_HEADER.match(header_cells[columns.key(body)].to_s) if columns.key(body)
      return unless match

      match[2] || match[1].downcase.start_with?('in') ? :in : match[1].downcase.to_sym
    end

    def read_level(row, problems, notes)
      text = cell(row, :level)
      if text.empty?
        notes[:level] = [:level_assumed, {}]
        return 1
      end
      level = text[/\A(?:level )?([1-5])\z/i, 1]&.to_i || level_in_words(text)
      problems[:level] = [:level_unreadable, { text: text[0, 60] }] if level.nil?
      notes[:level] = [:level_read, { text: text[0, 60], level: level }] if level && text.to_i != level
      level.to_i
    end

    # @return [Integer, nil]
    def level_in_words(text)
      LEVEL_WORDS.find { |_, pattern| pattern.match?(text) }&.first || ((years = text[YEARS, 1]) && LEVEL_BY_YEARS.find { |least, _|
        years.to_i >= least
      }.last)
    end

    # What the notes suggest, shown before it is saved.
    def read_needs(row, problems, notes)
      text = cell(row, :notes)
      return Core::People::Needs.new.tap { problems[:notes] = [:notes_too_long, {}] } if text.length > LONGEST_NOTES

      needs = Core::People::NeedsReader.read(text)
      suggested = needs.flags.map { |flag| Wording.say("flags.#{flag}") } + [("age #{needs.age}" if needs.age)].compact
      notes[:notes] = [:needs_suggested, { needs: suggested.join(', ') }] if suggested.any?
      needs
    end
  end
end
