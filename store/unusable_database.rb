# frozen_string_literal: true

module Store
  # The studio's database cannot be used as it is. Nothing in it was changed.
  class UnusableDatabase < StandardError
    SENTENCES = {
      newer: 'The database %<path>s was made by a newer version of this program. Start that version, or choose another folder with --data.',
      damaged: 'The database %<path>s is damaged or is no database. Put a copy of it in its place, or choose another folder with --data.',
      empty: 'The database %<path>s is empty, although a studio was kept there. ' \
             'Put a copy of it in its place, or remove the empty file to begin again.',
      locked: 'Another program keeps the database %<path>s locked. Close it, then start again.',
      full: 'The disk is full: %<path>s cannot be written. Make room, then start again.',
      not_writable: 'The file %<path>s cannot be written. Give yourself the right to write there, or choose another folder with --data.',
      not_a_folder: 'The path of %<path>s leads through a file. Choose a folder with --data.',
      no_room: 'That needs %<needed>s MB, and %<free>s MB are free for %<path>s. Nothing was changed. Make room, then try again.',
      unreadable: 'The file %<path>s cannot be read just now. Is the disk full? Nothing was changed.',
      itself: 'The file %<path>s is the studio itself. Give another name for the copy.',
      upgrade: 'The studio could not be brought up to date: %<reason>s. Nothing was changed. A copy from before is %<copy>s; ' \
               'bin/eager-bench restore %<copy>s --data %<folder>s --yes puts it back.',
      other: 'The database %<path>s cannot be opened: %<reason>s.'
    }.freeze
    CAUSES = {
      damaged: /not a database|malformed|NotADatabase|corrupt|Differs/i,
      locked: /locked|busy/i,
      full: /full|No space left|IOException|File too large|quota/i,
      not_writable: /readonly|read-only|Permission denied|unable to open|not permitted/i,
      not_a_folder: /Not a directory|File exists|Is a directory/i
    }.freeze

    attr_reader :code, :path

    # @param values [Hash{Symbol=>String}] that the sentence names
    def initialize(code, path, **values)
      @code = code
      @path = path
      super(format(SENTENCES.fetch(code), path: path, **values))
    end

    # @param error [Exception] @return [UnusableDatabase] with the cause that its message names
    def self.of(error, path)
      return error if error.is_a?(self)

      text = "#{error.class} #{error.message}"
      code = CAUSES.find { |_, pattern| pattern.match?(text) }&.first || :other
      new(code, path, reason: reason(error))
    end

    # @return [String] the first line of an error's message, to stand within a sentence
    def self.reason(error)
      error.message.lines.first.to_s.strip.delete_suffix('.')
    end
  end
end
