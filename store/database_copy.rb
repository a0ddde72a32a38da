# frozen_string_literal: true

require 'sqlite3'

module Store
  # Copies an SQLite database while others use it, and compares the copy with its source before anyone relies on it.
  class DatabaseCopy
    # The copy is not what it was copied from.
    class Differs < StandardError; end

    DONE = 101
    # SQLite's codes for a source that someone else is writing to (BUSY, LOCKED): try again.
    OCCUPIED = [5, 6].freeze
    TRIES = 100
    WAIT_SECONDS = 0.05
    ERRORS = { 13 => SQLite3::FullException, 10 => SQLite3::IOException }.freeze

    # @param path [String] of a database
    # @return [Integer] bytes that a copy of it takes
    def self.bytes(path)
      database = SQLite3::Database.new(path, readonly: true)
      database.get_first_value('PRAGMA page_count') * database.get_first_value('PRAGMA page_size')
    ensure
      database&.close
    end

    # @param from [String] of a database
    # @param to [String] of a file that is not there yet
    def initialize(from, to)
      @from = from
      @to = to
    end

    # @raise [SQLite3::Exception, SystemCallError, Differs]
    def call
      @source = SQLite3::Database.new(@from, readonly: true)
      # One reading transaction: what is counted is what is copied.
      @source.transaction do
        expected = contents(@source)
        copy
        found = checked_contents
        raise Differs, "#{@to} differs from #{@from}" unless found == expected
      end
    ensure
      @source&.close
    end

    private

    # SQLite's backup step does not raise when the disk is full: it returns its code.
    def copy
      target = SQLite3::Database.new(@to)
      File.chmod(WholeFile::OWNER_ONLY, @to)
      backup = SQLite3::Backup.new(target, 'main', @source, 'main')
      code = step(backup)
      backup.finish
      raise ERRORS.fetch(code, SQLite3::Exception), "copying ended with SQLite's code #{code}" unless code == DONE

      # A file by itself, without a log beside it.
      target.execute('PRAGMA journal_mode = DELETE')
    ensure
      target&.close
    end

    # @return [Hash] see {contents}, of the copy as it lies on the disk
    def checked_contents
      target = SQLite3::Database.new(@to, readonly: true)
      raise Differs, "#{@to} is damaged" unless target.get_first_value('PRAGMA integrity_check') == 'ok'

      contents(target)
    ensure
      target&.close
    end

    def step(backup)
      TRIES.times do
        code = backup.step(-1)
        return code unless OCCUPIED.include?(code)

        sleep WAIT_SECONDS
      end
      OCCUPIED.first
    end

    # @return [Hash{String=>Object}] what the database is made of, and how many rows each table has
    def contents(database)
      tables = database.execute('SELECT name, sql FROM sqlite_master ORDER BY name')
      rows = database.execute("SELECT name FROM sqlite_master WHERE type = 'table' ORDER BY name").flatten
      { 'schema' => tables, **rows.to_h { |name| [name, database.get_first_value(%(SELECT count(*) FROM "#{name}"))] } }
    end
  end
end
