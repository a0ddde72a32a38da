# frozen_string_literal: true

require 'fileutils'
require 'sequel'

module Store
  # Opens the studio's database file and brings its schema up to date.
  module Database
    MIGRATIONS = File.join(EagerBench::ROOT, 'store', 'migrations')
    BUSY_MILLISECONDS = 5000

    module_function

    # @param path [String] a file, made when missing, or ':memory:'
    # @return [Sequel::Database]
    def open(path)
      FileUtils.mkdir_p(File.dirname(path)) unless path == ':memory:'
      database = Sequel.connect(adapter: 'sqlite', database: path, timeout: BUSY_MILLISECONDS, foreign_keys: true,
                                max_connections: path == ':memory:' ? 1 : 8,
                                after_connect: ->(connection) { connection.execute('PRAGMA synchronous = NORMAL') })
      database.run('PRAGMA journal_mode = WAL') unless path == ':memory:'
      migrate(database)
      database
    end

    # @param version [Integer, nil] a migration to go to, up or down; nil for the newest
    def migrate(database, version = nil)
      Sequel.extension :migration
      Sequel::Migrator.run(database, MIGRATIONS, target: version)
    end
  end
end
