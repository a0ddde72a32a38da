# frozen_string_literal: true

require 'fileutils'
require 'sequel'
require 'sqlite3'

Sequel.extension :migration

module Store
  # Opens the studio's database file and brings its schema up to date.
  module Database
    MIGRATIONS = File.join(EagerBench::ROOT, 'store', 'migrations')
    BUSY_MILLISECONDS = 5000
    WAIT_SECONDS = 0.002
    CHECKPOINT_TRIES = 500
    OWNER_ONLY = WholeFile::OWNER_ONLY

    module_function

    # @param path [String] a file, made when missing, or ':memory:'
    # @yield where it holds a studio of an older version, before that is copied and brought up to date
    # @return [Sequel::Database]
    # @raise [UnusableDatabase] with one sentence, the file left as it is
    def open(path)
      in_memory = path == ':memory:'
      prepare_file(path) unless in_memory
      database = Sequel.connect(adapter: 'sqlite', database: path, foreign_keys: true, max_connections: in_memory ? 1 : 8,
        after_connect: ->(connection) { prepare(connection) })
      database.run('PRAGMA journal_mode = WAL') unless in_memory
      if !in_memory && outdated?(database)
        yield if block_given?
        upgrade(database, path)
      elsif !Sequel::Migrator.is_current?(database, MIGRATIONS)
        migrate(database)
      end
      opened = database
    rescue Sequel::Migrator::Error
      raise UnusableDatabase.new(:newer, path)
    rescue Sequel::DatabaseError, SQLite3::Exception => e
      raise UnusableDatabase.of(e, path)
    ensure
      database&.disconnect unless opened
    end

    # Runs the block in one immediate transaction, so that what it reads cannot change before it writes, and raises the studio's
    # revision: results worked out from the data can see that it may have changed. Every change of the studio goes through here.
    # @return [Object] what the block returns @raise [NotSaved] when nothing was written
    def write(database)
      database.transaction(mode: :immediate) do
        result = yield
        database[:studio].update(revision: Sequel[:revision] + 1)
        result
      end
    rescue Sequel::Error => e
      raise NotSaved, "#{e.class}: #{e.message}"
    end

    # Waiting for another writer happens in Ruby: SQLite's own timeout would keep every thread of this process from going on.
    # An answer says "saved", so what is written is on the disk before it (synchronous FULL).
    def prepare(connection)
      connection.execute('PRAGMA synchronous = FULL')
      connection.busy_handler do |tried|
        sleep(WAIT_SECONDS)
        tried * WAIT_SECONDS * 1000 < BUSY_MILLISECONDS
      end
    end

    # All migrations and the version they lead to are one transaction: a kill leaves the older studio whole. Some tables are made again,
    # so foreign keys are off meanwhile and checked at the end (https://www.sqlite.org/lang_altertable.html, section 7).
    # @param version [Integer, nil] a migration to go to, up or down; nil for the newest
    def migrate(database, version = nil)
      database.synchronize do
        database.run('PRAGMA foreign_keys = OFF')
        database.transaction(mode: :immediate) do
          Sequel::Migrator.run(database, MIGRATIONS, target: version)
          raise Sequel::ForeignKeyConstraintViolation, 'rows without their owner' if database.fetch('PRAGMA foreign_key_check').any?
        end
      ensure
        database.run('PRAGMA foreign_keys = ON')
      end
    end

    # Rewrites the file, so that nothing that was deleted stays in it or in its log.
    # @return [Boolean] false where someone else kept the log in use
    def compact(database)
      database.run('VACUUM')
      CHECKPOINT_TRIES.times do
        return true if database.fetch('PRAGMA wal_checkpoint(TRUNCATE)').first.fetch(:busy).zero?

        sleep WAIT_SECONDS
      end
      false
    rescue Sequel::Error => e
      raise NotSaved, "#{e.class}: #{e.message}"
    end

    # @return [Boolean] whether it holds a studio of an older version
    def outdated?(database)
      database.table_exists?(:schema_info) && database[:schema_info].get(:version).to_i.positive? &&
        !Sequel::Migrator.is_current?(database, MIGRATIONS)
    end

    def upgrade(database, path)
      copy = Backups.new(path).take(:before_upgrade)
      migrate(database)
    rescue Sequel::DatabaseError, SQLite3::Exception => e
      raise UnusableDatabase.new(:upgrade, path, copy: copy, folder: File.dirname(path), reason: UnusableDatabase.reason(e))
    end

    # People's sizes and allergies stand in it: only its owner may read it, and what SQLite puts beside it takes its rights.
    def prepare_file(path)
      FileUtils.mkdir_p(File.dirname(path))
      raise UnusableDatabase.new(:empty, path) if File.exist?(path) && File.empty?(path) && File.exist?("#{path}.began")

      File.open(path, File::RDWR | File::CREAT, OWNER_ONLY) { |file| file.chmod(OWNER_ONLY) }
    rescue SystemCallError => e
      raise UnusableDatabase.of(e, path)
    end
    private_class_method :prepare, :prepare_file, :outdated?, :upgrade
  end
end
