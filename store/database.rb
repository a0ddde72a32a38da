# frozen_string_literal: true

require 'fileutils'
require 'sequel'

module Store
  # Opens the studio's database file and brings its schema up to date.
  module Database
    MIGRATIONS = File.join(EagerBench::ROOT, 'store', 'migrations')
    BUSY_MILLISECONDS = 5000
    WAIT_SECONDS = 0.002

    module_function

    # @param path [String] a file, made when missing, or ':memory:'
    # @return [Sequel::Database]
    def open(path)
      FileUtils.mkdir_p(File.dirname(path)) unless path == ':memory:'
      database = Sequel.connect(adapter: 'sqlite', database: path, foreign_keys: true, max_connections: path == ':memory:' ? 1 : 8,
                                after_connect: ->(connection) { prepare(connection) })
      database.run('PRAGMA journal_mode = WAL') unless path == ':memory:'
      migrate(database)
      database
    end

    # Waiting for another writer happens in Ruby: SQLite's own timeout would keep every thread of this process from going on.
    def prepare(connection)
      connection.execute('PRAGMA synchronous = NORMAL')
      connection.busy_handler do |tried|
        sleep(WAIT_SECONDS)
        tried * WAIT_SECONDS * 1000 < BUSY_MILLISECONDS
      end
    end

    # @param version [Integer, nil] a migration to go to, up or down; nil for the newest
    def migrate(database, version = nil)
      Sequel.extension :migration
      Sequel::Migrator.run(database, MIGRATIONS, target: version)
    end
    private_class_method :prepare
  end
end
